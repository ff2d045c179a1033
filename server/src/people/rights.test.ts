import { may, MAY, ROLES, type Action } from 'core/people/roles'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { describeApi } from '../http/describe'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

/** Addresses that anybody may ask: whether the server is well, and the door itself. */
const OPEN = ['GET /api/health', 'POST /api/me/pair']

const operations = () =>
  Object.entries(describeApi(kitchen.app).paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({
      method: method.toUpperCase(),
      path,
      action: operation['x-okazu-may'],
      type: Object.keys(operation.requestBody?.content ?? {})[0],
    })),
  )

const ask = async (method: string, path: string, type: string | undefined, token: string) => {
  const answer = await kitchen.app.request(path.replace(/\{\w+\}/g, 'x'), {
    method,
    headers: { authorization: `Bearer ${token}`, ...(type && { 'content-type': type }) },
    ...(type && { body: type === 'application/json' ? '{}' : 'x' }),
  })
  if (answer.headers.get('content-type')?.includes('event-stream')) {
    await answer.body?.cancel()
    return { status: answer.status, code: null }
  }
  const isProblem = answer.headers.get('content-type')?.includes('problem') ?? false
  const { code = null } = isProblem ? ((await answer.json()) as { code: string }) : {}
  return { status: answer.status, code }
}

test('every address stands under a row of the table of rights, but for those that are open', () => {
  const without = operations().filter(({ action }) => action === undefined)
  expect(without.map(({ method, path }) => `${method} ${path}`).sort()).toEqual(OPEN)
  for (const { action } of operations()) if (action) expect(Object.keys(MAY)).toContain(action)
})

test('whoever was not let in is told so at every one of them', async () => {
  for (const { method, path, type, action } of operations()) {
    if (!action) continue
    const answer = await ask(method, path, type, 'a token that nobody was given')
    expect([method, path, answer]).toEqual([method, path, { status: 401, code: 'not-paired' }])
  }
})

test.each([...ROLES, null])(
  '%s: refused at every address whose row does not name the role, and at no other',
  async (role) => {
    const ids = { owner: 'odalys', lead: null, cook: 'bram', prep: 'ifeoma', trainee: 'tam' } as const
    let id: string | null = role === null ? null : ids[role]
    if (role === 'lead') {
      await send(kitchen.app, 'POST', '/people', { name: 'Leda', role })
      id = 'leda'
    }
    const token = await kitchen.letIn(id)
    for (const { method, path, type, action } of operations()) {
      if (!action || path === '/api/me/sign-out') continue
      const { code } = await ask(method, path, type, token)
      const isRefused = code === 'may-not' || code === 'kept-aside'
      expect([method, path, action, isRefused]).toEqual([method, path, action, !may(role, action)])
    }
  },
)

test('the table of the papers is the table of the program', async () => {
  const { readFile } = await import('node:fs/promises')
  const text = await readFile(`${__dirname}/../../../docs/people.md`, 'utf8')
  for (const action of Object.keys(MAY) as Action[]) {
    const row = text.split('\n').find((line) => line.startsWith(`| \`${action}\` `))
    const marks = row
      ?.split('|')
      .slice(3, 3 + ROLES.length)
      .map((cell) => cell.trim() === 'yes')
    expect([action, marks]).toEqual([action, ROLES.map((role) => may(role, action))])
  }
})
