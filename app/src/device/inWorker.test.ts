import { expose } from 'comlink'
import { MessageChannel } from 'node:worker_threads'
import { inProcess } from './inProcess'
import { workerOf } from './inWorker'

const cutting = {
  half: (grams: number) => {
    if (grams < 0) throw new Error('below nothing')
    return grams / 2
  },
  never: () => new Promise<number>(() => undefined),
}

/** A worker on the other end of a channel, told to die when the test says so. */
class TestWorker extends EventTarget {
  onerror: ((event: { message: string }) => void) | null = null
  isEnded = false
  #channel = new MessageChannel()
  constructor() {
    super()
    expose(cutting, this.#channel.port2 as never)
    this.#channel.port1.on('message', (data) => this.dispatchEvent(new MessageEvent('message', { data })))
  }
  postMessage(message: unknown) {
    this.#channel.port1.postMessage(message)
  }
  terminate() {
    this.isEnded = true
    this.#channel.port1.close()
  }
}

const working = () => {
  const made: TestWorker[] = []
  const run = workerOf<typeof cutting>(() => {
    made.push(new TestWorker())
    return made.at(-1) as unknown as Worker
  })
  return { run, made }
}
const open: TestWorker[] = []
afterEach(() => open.splice(0).forEach((worker) => worker.terminate()))

test('one worker serves the page, and a failure is told in its words', async () => {
  const { run, made } = working()
  const both = [run((work) => work.half(8)), run((work) => work.half(4))]
  open.push(...made)
  expect(await Promise.all(both)).toEqual([4, 2])
  await expect(run((work) => work.half(-1))).rejects.toThrow('below nothing')
  expect(made).toHaveLength(1)
})

test('a worker that died is told to all who wait, and made anew', async () => {
  const { run, made } = working()
  const lost = run((work) => work.never())
  made[0]!.onerror!({ message: 'gone' })
  await expect(lost).rejects.toThrow('gone')
  expect(await run((work) => work.half(6))).toBe(3)
  open.push(...made)
  expect(made).toHaveLength(2)
})

test('a cancel stops the worker once nobody else waits for it', async () => {
  const { run, made } = working()
  const [first, second] = [new AbortController(), new AbortController()]
  const waiting = [run((work) => work.never(), first.signal), run((work) => work.never(), second.signal)]
  first.abort()
  await expect(waiting[0]).rejects.toThrow('cancelled')
  expect(made[0]!.isEnded).toBe(false)
  second.abort()
  await expect(waiting[1]).rejects.toThrow('cancelled')
  expect(made[0]!.isEnded).toBe(true)
  await expect(run((work) => work.half(2), first.signal)).rejects.toThrow('cancelled')
  expect(made).toHaveLength(1)
})

test('without a worker the same functions are asked', async () => {
  expect(await inProcess(cutting)((work) => work.half(2))).toBe(1)
})
