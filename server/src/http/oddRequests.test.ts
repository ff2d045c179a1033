import { openTestKitchen, type TestKitchen } from '../db/test/testKitchen'
import { AsDescribed } from '../db/test/asDescribed'
import { describeApi } from './describe'
import { OddRequests } from './test/oddRequests'

const COUNT = 600
const SEED = 20261129
let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

/** A short run of `npm run fuzz`. */
test('whatever is sent, the server answers as described, says nothing of itself, and does not fail', async () => {
  const document = describeApi(kitchen.app)
  const [odd, described] = [new OddRequests(document, SEED), new AsDescribed(document)]
  const wrong: string[] = []
  let taken = 0
  for (let sent = 0; sent < COUNT; sent += 1) {
    const { method, path, body, type } = odd.next()
    const headers: Record<string, string> = type === '' ? {} : { 'content-type': type }
    const answer = await kitchen.app.request(path, { method, headers, ...(body !== null && { body }) })
    const [text, answerType] = [await answer.text(), answer.headers.get('content-type') ?? '']
    odd.learn(text)
    taken += Number(answer.ok)
    const json = answerType.includes('json') ? (JSON.parse(text) as unknown) : null
    const difference = described.differs({ method, path, status: answer.status, type: answerType, json })
    if (difference !== null) wrong.push(`${difference} to ${body}`)
    if (answer.status === 500 || /node_modules|\n\s+at /.test(text))
      wrong.push(`${answer.status} ${method} ${path} ${type} ${body}: ${kitchen.failures.at(-1)}`)
  }
  expect(wrong.map((line) => line.slice(0, 1500))).toEqual([])
  expect(taken).toBeGreaterThan(COUNT / 10)
}, 180_000)
