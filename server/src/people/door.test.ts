import { Me, type Pairing } from 'contract/people'
import { newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { DEMO_PINS } from '../demo/demoPins'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const MIN_MS = 60_000
const codeOf = ({ json }: { json: unknown }) => (json as { code?: string }).code
const as = (token: string, method: string, path: string, body?: unknown) =>
  send(kitchen.app, method, path, body, 'application/json', token)
/** The token that an answer puts into the browser's cookie. */
const tokenOf = ({ headers }: { headers: Headers }) =>
  /okazu_session=([^;]+)/.exec(headers.get('set-cookie') ?? '')?.[1] ?? ''
const pairing = async () => (await send(kitchen.app, 'POST', '/pairing-codes')).json as Pairing
const pair = (code: string, name = 'Ring A') => as('', 'POST', '/me/pair', { code, name, place: 'at the ring' })
const signIn = (token: string, staffId: string, pin: string | null) =>
  as(token, 'POST', '/me/sign-in', { staffId, pin })

describe('a device comes in', () => {
  test('by a code, once; its cookie is kept from scripts and from other sites', async () => {
    const { code, link, qr } = await pairing()
    expect(link).toContain(`/pair?code=${code}`)
    expect(new Set(qr.map((row) => row.length))).toEqual(new Set([qr.length]))
    const paired = await pair(code.toLowerCase().replace('-', ' '))
    expect([paired.status, Me.parse(paired.json).person]).toEqual([201, null])
    expect(paired.headers.get('set-cookie')).toMatch(/HttpOnly.*SameSite=Strict/)
    const me = Me.parse((await as(tokenOf(paired), 'GET', '/me')).json)
    expect(me.device).toMatchObject({ name: 'Ring A', place: 'at the ring' })
    expect(codeOf(await pair(code))).toBe('code-wrong')
  })

  test('within half an hour, and by no code that was made up', async () => {
    const { code } = await pairing()
    kitchen.clock.moveToMs(kitchen.clock.now() + 31 * MIN_MS)
    expect(codeOf(await pair(code))).toBe('code-wrong')
    expect(codeOf(await pair('ABCD-EFGH'))).toBe('code-wrong')
  })

  test('two that use one code at the same moment: one is in', async () => {
    const { code } = await pairing()
    const answers = await Promise.all([pair(code), pair(code), pair(code)])
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 403, 403])
  })
})

describe('a person signs in', () => {
  test('with the PIN; the device has another token, and nothing is done in a name without one', async () => {
    const token = tokenOf(await pair((await pairing()).code))
    const place = newTicket('plain', 1, kitchen.clock.now() + 20 * MIN_MS)
    const id = String(place.id)
    expect((await as(token, 'POST', '/tickets', place)).status).toBe(201)
    const drop = {
      events: [
        {
          id: '01930000-0000-7000-8000-000000000001',
          kind: 'cancelled',
          atMs: Math.round(kitchen.clock.now()),
          counter: 0,
        },
      ],
    }
    expect(codeOf(await as(token, 'POST', `/tickets/${id}/events`, drop))).toBe('kept-aside')
    const signedIn = await signIn(token, 'odalys', DEMO_PINS['odalys']!)
    expect(Me.parse(signedIn.json).person).toEqual({ id: 'odalys', name: 'Odalys', role: 'owner' })
    const next = tokenOf(signedIn)
    expect(next).not.toBe(token)
    // The answer may have been lost on its way: until the new token is shown, the old one opens the door to nobody.
    expect(Me.parse((await as(token, 'GET', '/me')).json).person).toBeNull()
    expect(Me.parse((await as(next, 'GET', '/me')).json).person?.id).toBe('odalys')
    expect((await as(token, 'GET', '/me')).status).toBe(401)
    const signedOut = await as(next, 'POST', '/me/sign-out')
    expect(Me.parse(signedOut.json).person).toBeNull()
    expect((await as(next, 'GET', '/me')).json).toMatchObject({ person: null })
  })

  test('a trainee without one; somebody whose PIN was never set not at all', async () => {
    const token = await kitchen.letIn(null)
    expect(Me.parse((await signIn(token, 'tam', null)).json).person?.role).toBe('trainee')
    await send(kitchen.app, 'POST', '/people', { name: 'Nia', role: 'cook' })
    expect(codeOf(await signIn(await kitchen.letIn(null), 'nia', '0000'))).toBe('pin-missing')
    expect(codeOf(await signIn(await kitchen.letIn(null), 'nobody', '0000'))).toBe('unknown-staff')
  })

  test('wrong PINs wait, here and for that person only; the right one after the wait clears the count', async () => {
    const [token, other] = [await kitchen.letIn(null), await kitchen.letIn(null)]
    for (let n = 0; n < 3; n += 1) expect(codeOf(await signIn(token, 'wen', '0000'))).toBe('pin-wrong')
    expect(codeOf(await signIn(token, 'wen', '0000'))).toBe('pin-wait')
    expect(codeOf(await signIn(token, 'wen', DEMO_PINS['wen']!))).toBe('pin-wait')
    expect((await signIn(other, 'wen', DEMO_PINS['wen']!)).status).toBe(200)
    expect((await signIn(token, 'bram', DEMO_PINS['bram']!)).status).toBe(200)
    const again = await kitchen.letIn(null)
    for (let n = 0; n < 4; n += 1) await signIn(again, 'wen', '0000')
    kitchen.clock.moveToMs(kitchen.clock.now() + 6000)
    expect((await signIn(again, 'wen', DEMO_PINS['wen']!)).status).toBe(200)
  })

  test('ten wrong PINs at the same moment are ten tries', async () => {
    const token = await kitchen.letIn(null)
    const codes = (await Promise.all(Array.from({ length: 10 }, () => signIn(token, 'bram', '9999')))).map(codeOf)
    expect(codes.filter((code) => code === 'pin-wrong').length).toBeLessThanOrEqual(3)
  })

  test('a shift ends by itself after sixteen hours', async () => {
    const token = await kitchen.letIn('bram')
    kitchen.clock.moveToMs(kitchen.clock.now() + 17 * 60 * MIN_MS)
    expect(Me.parse((await as(token, 'GET', '/me')).json).person).toBeNull()
  })
})

test('an owner who forgot the PIN: the code on paper sets another, is used up and gives the next', async () => {
  const owner = await kitchen.letIn('odalys')
  const { code } = (await as(owner, 'POST', '/recovery-code')).json as { code: string }
  const token = await kitchen.letIn(null)
  expect(codeOf(await as(token, 'POST', '/me/recover', { code: 'ABCDEFGHJKMN', pin: '7777' }))).toBe('code-wrong')
  const back = await as(token, 'POST', '/me/recover', { code, pin: '7777' })
  expect(back.status).toBe(200)
  expect(Me.parse((await as(tokenOf(back), 'GET', '/me')).json).person?.role).toBe('owner')
  expect((await signIn(await kitchen.letIn(null), 'odalys', '7777')).status).toBe(200)
  expect(codeOf(await as(await kitchen.letIn(null), 'POST', '/me/recover', { code, pin: '7777' }))).toBe('code-wrong')
})
