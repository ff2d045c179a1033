import { act, renderHook } from '@testing-library/react'
import { SUPERSEDED, useNewest } from './useNewest'

type Pending = { key: string; isNewest: () => boolean; answer: (value: string | typeof SUPERSEDED) => Promise<void> }

function asked() {
  const pending: Pending[] = []
  const askFor = (key: string) => (isNewest: () => boolean) =>
    new Promise<string | typeof SUPERSEDED>((resolve) => {
      pending.push({
        key,
        isNewest,
        answer: (value) =>
          act(async () => {
            resolve(value)
            await Promise.resolve()
          }),
      })
    })
  const hook = renderHook(({ key }: { key: string }) => useNewest<string>(key, askFor(key)), {
    initialProps: { key: 'a' },
  })
  return { pending, hook }
}

test('of the questions that come while one is worked out only the last is asked; the answer before stands until then', async () => {
  const { pending, hook } = asked()
  hook.rerender({ key: 'b' })
  hook.rerender({ key: 'c' })
  expect(pending.map(({ key }) => key)).toEqual(['a'])
  await pending[0]!.answer('of a')
  expect(hook.result.current).toMatchObject({ value: 'of a', isBehind: true })
  expect(pending.map(({ key }) => key)).toEqual(['a', 'c'])
  await pending[1]!.answer('of c')
  expect(hook.result.current).toEqual({ value: 'of c', isBehind: false, hasFailed: false })
})

test('a long answer is told on the way that another question was asked, gives up, and the newest is asked', async () => {
  const { pending, hook } = asked()
  expect(pending[0]!.isNewest()).toBe(true)
  hook.rerender({ key: 'b' })
  expect(pending[0]!.isNewest()).toBe(false)
  await pending[0]!.answer(SUPERSEDED)
  expect(hook.result.current).toMatchObject({ value: null, isBehind: true, hasFailed: false })
  expect(pending.map(({ key }) => key)).toEqual(['a', 'b'])
})
