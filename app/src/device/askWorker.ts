type Waiting = { resolve: (worked: unknown) => void; reject: (error: Error) => void }
type Answer = { id: number; worked?: unknown; fault?: string }

/** Asks a worker that is made at the first question and kept for the page; answers come back by number. */
export function askWorker(make: () => Worker): (work: unknown) => Promise<unknown> {
  let worker: Worker | null = null
  let lastId = 0
  const waiting = new Map<number, Waiting>()
  const start = () => {
    const made = make()
    made.onmessage = ({ data }: MessageEvent<Answer>) => {
      const one = waiting.get(data.id)
      waiting.delete(data.id)
      if (data.fault === undefined) one?.resolve(data.worked)
      else one?.reject(new Error(data.fault))
    }
    made.onerror = (event) => {
      waiting.forEach((one) => one.reject(new Error(event.message)))
      waiting.clear()
      worker = null
    }
    return made
  }
  return (work) => {
    worker ??= start()
    lastId += 1
    const id = lastId
    return new Promise((resolve, reject) => {
      waiting.set(id, { resolve, reject })
      worker?.postMessage({ id, work })
    })
  }
}

type Question<Work> = { id: number; work: Work }

/** The worker's side: each question is answered by its number, a failure in words. */
export function answerQuestions<Work>(answer: (work: Work) => unknown): (event: MessageEvent<Question<Work>>) => void {
  return ({ data: { id, work } }) => {
    try {
      postMessage({ id, worked: answer(work) })
    } catch (error) {
      postMessage({ id, fault: error instanceof Error ? error.message : 'failed' })
    }
  }
}
