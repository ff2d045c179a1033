import { act, fireEvent, render, renderHook, screen } from '@testing-library/react'
import { Pressable, Text } from 'react-native'
import { z } from 'zod'
import { startWords } from '../../words/i18n'
import { FormField } from './FormField'
import { leave, useUnsaved } from './leave'
import { LeaveSheet } from './LeaveSheet'
import { typedNumber, typedWords } from './typed'
import { useValidForm } from './useValidForm'

beforeAll(() => startWords())

describe('typed text', () => {
  test.each([
    ['12', 12],
    ['12,5', 12.5],
    [' 3 ', 3],
    ['0', 0],
    ['100', 100],
  ])('"%s" is %s', (text, value) => {
    expect(typedNumber('no', { most: 100 }).parse(text)).toBe(value)
  })

  test.each(['', ' ', 'two', '-1', '101', '1e9', 'Infinity', '1 2'])('"%s" is no number between 0 and 100', (text) => {
    const read = typedNumber('Enter 0 to 100.', { most: 100 }).safeParse(text)
    expect(read.error?.issues[0]?.message).toBe('Enter 0 to 100.')
  })

  test('nothing, where above nothing is asked for', () => {
    expect(typedNumber('no', { isAbove: true }).safeParse('0').success).toBe(false)
    expect(typedWords('no').safeParse('   ').success).toBe(false)
    expect(typedWords('no').parse(' soy ')).toBe('soy')
  })
})

function PackForm({ onSave }: { onSave: (pack: { name: string; massG: number }) => void }) {
  const schema = z.object({ name: typedWords('Name it.'), massG: typedNumber('Weigh it.', { isAbove: true }) })
  const form = useValidForm(schema, { name: '', massG: '' })
  return (
    <>
      <FormField control={form.control} name="name" label="Name" />
      <FormField control={form.control} name="massG" label="Grams" />
      <Pressable role="button" onPress={() => void form.handleSubmit(onSave)()}>
        <Text>Save</Text>
      </Pressable>
      <LeaveSheet />
    </>
  )
}
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } })
/** What an event sets off is awaited: checking a form is asynchronous. */
const settled = (event: () => unknown) =>
  act(() => {
    event()
    return Promise.resolve()
  })
const save = () => settled(() => fireEvent.click(screen.getByText('Save')))

describe('a form', () => {
  test('says every fault beside its field, has the first in focus, and saves nothing', async () => {
    const onSave = jest.fn()
    render(<PackForm onSave={onSave} />)
    await save()
    expect(screen.getAllByRole('alert').map((one) => one.textContent)).toEqual(['Name it.', 'Weigh it.'])
    expect(document.activeElement).toBe(screen.getByLabelText('Name'))
    expect(screen.getByLabelText('Grams').getAttribute('aria-invalid')).toBe('true')
    expect(onSave).not.toHaveBeenCalled()
  })

  test('a fault goes once it is mended; what is saved is read, not typed', async () => {
    const onSave = jest.fn<void, [unknown]>()
    render(<PackForm onSave={onSave} />)
    await save()
    await settled(() => type('Name', ' sack '))
    expect(screen.queryByText('Name it.')).toBeNull()
    await settled(() => type('Grams', '2,5'))
    await save()
    expect(onSave.mock.calls[0]?.[0]).toEqual({ name: 'sack', massG: 2.5 })
  })

  test('nothing is said while somebody types for the first time', async () => {
    render(<PackForm onSave={() => undefined} />)
    await settled(() => type('Grams', 'x'))
    expect(screen.queryByRole('alert')).toBeNull()
    await settled(() => fireEvent.blur(screen.getByLabelText('Grams')))
    expect(screen.getByRole('alert').textContent).toBe('Weigh it.')
  })

  test('leaving with something typed asks; staying stays, leaving leaves', async () => {
    render(<PackForm onSave={() => undefined} />)
    const go = jest.fn()
    act(() => leave(go))
    expect(go).toHaveBeenCalledTimes(1)
    await settled(() => type('Name', 'sack'))
    act(() => leave(go))
    expect(go).toHaveBeenCalledTimes(1)
    await settled(() => fireEvent.click(screen.getByText('Stay here')))
    expect(screen.queryByText('Stay here')).toBeNull()
    act(() => leave(go))
    await settled(() => fireEvent.click(screen.getByText('Leave, lose the changes')))
    expect(go).toHaveBeenCalledTimes(2)
  })
})

test('a tab that is closed asks too, as long as something is unsaved', () => {
  const closing = () => {
    const event = new Event('beforeunload', { cancelable: true })
    window.dispatchEvent(event)
    return event.defaultPrevented
  }
  const { rerender, unmount } = renderHook(({ is }) => useUnsaved(is), { initialProps: { is: false } })
  expect(closing()).toBe(false)
  rerender({ is: true })
  expect(closing()).toBe(true)
  rerender({ is: false })
  expect(closing()).toBe(false)
  rerender({ is: true })
  unmount()
  expect(closing()).toBe(false)
})
