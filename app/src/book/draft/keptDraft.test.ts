import { keep } from '../../device/storage'
import { blankDraft, blankLine } from './draft'
import { DraftStore } from './draftStore'
import { dropDraft, keepDraft, readDraft } from './keptDraft'

const draft = { ...blankDraft('a'), lines: [{ ...blankLine('b'), written: '1½ tbsp', name: 'soy' }] }

describe('what was typed and not saved', () => {
  test('is there again, letter for letter, each dish by itself', () => {
    keepDraft('duck', { base: null, draft })
    expect(readDraft('duck')?.draft).toEqual(draft)
    expect(readDraft('crab')).toBeNull()
    expect(readDraft(null)).toBeNull()
    dropDraft('duck')
    expect(readDraft('duck')).toBeNull()
  })

  test.each(['{', '{"draft":7}', 'null', '{"base":null,"draft":{"head":{},"lines":[]}}'])(
    '%s is no draft, and no harm',
    (text) => {
      keep('okazu.draft/odd', text)
      expect(readDraft('odd')).toBeNull()
    },
  )
})

test('a key typed is heard by whoever follows, once; an edit that changes nothing by nobody', () => {
  const store = new DraftStore(draft)
  const heard = jest.fn()
  const stop = store.subscribe(heard)
  store.edit({ kind: 'line', key: 'b', changes: { written: '2 tbsp' } }, 0)
  expect(store.line('b')?.written).toBe('2 tbsp')
  store.edit({ kind: 'redo' }, 1)
  expect(heard).toHaveBeenCalledTimes(1)
  stop()
  store.edit({ kind: 'undo' }, 2)
  expect(heard).toHaveBeenCalledTimes(1)
  expect(store.line('b')?.written).toBe('1½ tbsp')
})
