import { inTransaction } from '../db/pool'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { shutOut } from './devices.sql'
import { RecentSessions } from './recentSessions'
import { digest } from './secrets'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const now = () => kitchen.clock.now()
const ask = (token: string) => send(kitchen.app, 'GET', '/me', undefined, 'application/json', token)
const deviceOf = async (token: string) => ((await ask(token)).json as { device: { id: string } }).device.id
/** As another process does it, which tells this server nothing. */
const shutOutElsewhere = (deviceId: string) =>
  inTransaction(kitchen.pool, (connection) => shutOut(connection, kitchen.kitchenId, deviceId, Math.round(now())))

test('whoever is shut out is out with the next request, also a moment after one that was answered', async () => {
  const token = await kitchen.letIn('bram')
  const deviceId = await deviceOf(token)
  expect((await send(kitchen.app, 'DELETE', `/paired-devices/${deviceId}`)).status).toBe(200)
  expect((await ask(token)).status).toBe(401)
})

test('what another process changed is seen two seconds later', async () => {
  const token = await kitchen.letIn('bram')
  await shutOutElsewhere(await deviceOf(token))
  kitchen.clock.moveToMs(now() + 2000)
  expect((await ask(token)).status).toBe(401)
})

test('a session that was being read while something was committed is not kept', async () => {
  const token = await kitchen.letIn('bram')
  const deviceId = await deviceOf(token)
  const sessions = new RecentSessions(kitchen.pool)
  const read = sessions.find(digest(token), now())
  sessions.forget(kitchen.kitchenId)
  expect(await read).not.toBeNull()
  await shutOutElsewhere(deviceId)
  expect(await sessions.find(digest(token), now())).toBeNull()
})

test('a commit in one kitchen leaves the sessions of another', async () => {
  const token = await kitchen.letIn('bram')
  const sessions = new RecentSessions(kitchen.pool)
  const first = await sessions.find(digest(token), now())
  sessions.forget('another-kitchen')
  expect(await sessions.find(digest(token), now())).toBe(first)
  sessions.forget(kitchen.kitchenId)
  expect(await sessions.find(digest(token), now())).not.toBe(first)
})
