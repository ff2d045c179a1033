import { answerQuestions, askWorker } from './askWorker'

type Posted = { id: number; work: unknown }

/** A worker of the test's own: what is posted to it is kept, and it answers when it is told to. */
class TestWorker {
  posted: Posted[] = []
  onmessage: ((event: { data: unknown }) => void) | null = null
  onerror: ((event: { message: string }) => void) | null = null
  postMessage(message: Posted) {
    this.posted.push(message)
  }
}

const asking = () => {
  const made: TestWorker[] = []
  const ask = askWorker(() => {
    made.push(new TestWorker())
    return made.at(-1) as unknown as Worker
  })
  return { ask, made }
}

test('answers find their questions whatever their order; one worker serves the page', async () => {
  const { ask, made } = asking()
  const [first, second] = [ask('a'), ask('b')]
  const [worker] = made
  worker!.onmessage!({ data: { id: worker!.posted[1]!.id, worked: 'B' } })
  worker!.onmessage!({ data: { id: worker!.posted[0]!.id, worked: 'A' } })
  expect(await Promise.all([first, second])).toEqual(['A', 'B'])
  expect(made).toHaveLength(1)
})

test('a failure is told to who asked; a worker that died is made anew', async () => {
  const { ask, made } = asking()
  const failing = ask('a')
  made[0]!.onmessage!({ data: { id: made[0]!.posted[0]!.id, fault: 'no rice' } })
  await expect(failing).rejects.toThrow('no rice')
  const lost = ask('b')
  made[0]!.onerror!({ message: 'gone' })
  await expect(lost).rejects.toThrow('gone')
  void ask('c').catch(() => undefined)
  expect(made).toHaveLength(2)
})

test('the worker answers by number, and says a failure in words', () => {
  const posted: unknown[] = []
  const before = globalThis.postMessage
  globalThis.postMessage = ((message: unknown) => posted.push(message)) as typeof globalThis.postMessage
  const answer = answerQuestions((work: number) => {
    if (work < 0) throw new Error('below nothing')
    return work * 2
  })
  answer({ data: { id: 1, work: 21 } } as MessageEvent<{ id: number; work: number }>)
  answer({ data: { id: 2, work: -1 } } as MessageEvent<{ id: number; work: number }>)
  globalThis.postMessage = before
  expect(posted).toEqual([
    { id: 1, worked: 42 },
    { id: 2, fault: 'below nothing' },
  ])
})
