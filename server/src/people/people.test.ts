import { AsideList, AuditPage, DeviceList, Me, PersonList } from 'contract/people'
import { Lot } from 'contract/rice'
import { Run } from 'contract/run'
import { TicketList, type Ticket } from 'contract/ticket'
import { v7 as newId } from 'uuid'
import { eventOf, fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { DEMO_PINS } from '../demo/demoPins'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const MIN_MS = 60_000
const now = () => Math.round(kitchen.clock.now())
const codeOf = ({ json }: { json: unknown }) => (json as { code?: string }).code
const as = (token: string, method: string, path: string, body?: unknown) =>
  send(kitchen.app, method, path, body, 'application/json', token)
const tokenOf = ({ headers }: { headers: Headers }) =>
  /okazu_session=([^;]+)/.exec(headers.get('set-cookie') ?? '')?.[1] ?? ''
const people = async () => PersonList.parse((await send(kitchen.app, 'GET', '/people')).json).people
const changes = async () => AuditPage.parse((await send(kitchen.app, 'GET', '/audit')).json).entries
const place = async (token = kitchen.token): Promise<Ticket> =>
  TicketList.parse((await as(token, 'POST', '/tickets', newTicket('plain', 2, now() + 20 * MIN_MS))).json).tickets[0]!

describe('people of the kitchen', () => {
  test('two owners who take each other out at the same moment leave one', async () => {
    await send(kitchen.app, 'POST', '/people', { name: 'Second', role: 'owner' })
    const second = await kitchen.letIn('second')
    const answers = await Promise.all([
      send(kitchen.app, 'DELETE', '/people/second'),
      as(second, 'DELETE', '/people/odalys'),
    ])
    expect(answers.map(({ status }) => status).filter((status) => status === 200)).toHaveLength(1)
    const [owners] = await kitchen.pool.query("SELECT id FROM staff WHERE role = 'owner' AND NOT is_gone")
    expect(owners).toHaveLength(1)
  })

  test('the last owner stays owner; a name stands once', async () => {
    expect(codeOf(await send(kitchen.app, 'PUT', '/people/odalys', { name: 'Odalys', role: 'cook' }))).toBe(
      'last-owner',
    )
    expect(codeOf(await send(kitchen.app, 'DELETE', '/people/odalys'))).toBe('last-owner')
    expect(codeOf(await send(kitchen.app, 'POST', '/people', { name: 'bram', role: 'cook' }))).toBe('name-taken')
  })

  test('whoever leaves is signed out everywhere, and what they cooked keeps the name; the id is given to nobody else', async () => {
    const bram = await kitchen.letIn('bram')
    const run = Run.parse((await as(bram, 'POST', '/runs', fireOf([await place()], 'ring-a', now()))).json)
    expect(run.cookId).toBe('bram')
    await send(kitchen.app, 'DELETE', '/people/bram')
    expect(Me.parse((await as(bram, 'GET', '/me')).json).person).toBeNull()
    expect((await send(kitchen.app, 'GET', '/kitchen')).json).toMatchObject({
      formerStaff: [{ id: 'bram', name: 'Bram' }],
    })
    await send(kitchen.app, 'POST', '/people', { name: 'Bram', role: 'cook' })
    expect((await people()).map(({ id }) => id)).toContain('bram-2')
  })

  test('another role holds from the next sign-in; the person is signed out until then', async () => {
    const wen = await kitchen.letIn('wen')
    await send(kitchen.app, 'PUT', '/people/wen', { name: 'Wen', role: 'trainee' })
    expect(Me.parse((await as(wen, 'GET', '/me')).json).person).toBeNull()
  })
})

describe('what was said', () => {
  test('is in the name of whoever was signed in then: a phone comes back after its cook went home', async () => {
    const bram = await kitchen.letIn('bram')
    const ticket = await place()
    const firedAtMs = now()
    kitchen.clock.moveToMs(now() + 2 * MIN_MS)
    const tam = tokenOf(await as(bram, 'POST', '/me/sign-in', { staffId: 'tam', pin: null }))
    const fire = { ...fireOf([ticket], 'ring-a', firedAtMs, { cookId: 'tam' }), isUnconfirmed: true }
    const run = Run.parse((await as(tam, 'POST', '/runs', fire)).json)
    expect(run.cookId).toBe('bram')
    const then = eventOf(run, firedAtMs + 1000, { kind: 'handsFree', on: false })
    expect((await as(tam, 'POST', `/runs/${run.id}/events`, { events: [then] })).status).toBe(200)
    const later = eventOf(run, now(), { kind: 'handsFree', on: true })
    expect(codeOf(await as(tam, 'POST', `/runs/${run.id}/events`, { events: [later] }))).toBe('kept-aside')
  })

  test('before the shift ended by itself is still the person’s when it comes the next morning', async () => {
    const bram = await kitchen.letIn('bram')
    const run = Run.parse((await as(bram, 'POST', '/runs', fireOf([await place()], 'ring-a', now()))).json)
    const then = eventOf(run, now() + 1000, { kind: 'handsFree', on: false })
    const washed = {
      id: newId(),
      stationId: 'ring-b',
      kind: 'washed',
      deviceId: 'phone',
      staffId: null,
      atMs: then.atMs,
    }
    kitchen.clock.moveToMs(now() + 17 * 60 * MIN_MS)
    expect(Me.parse((await as(bram, 'GET', '/me')).json).person).toBeNull()
    expect((await as(bram, 'POST', '/stations/ring-b/events', { events: [washed] })).status).toBe(200)
    const late = { ...washed, id: newId(), atMs: now() }
    expect(codeOf(await as(bram, 'POST', '/stations/ring-b/events', { events: [late] }))).toBe('kept-aside')
  })

  test('nothing at all is refused and not kept, so that the list can always be read', async () => {
    const tam = await kitchen.letIn('tam')
    const ticket = await place()
    const answer = await kitchen.app.request(`/api/tickets/${ticket.id}/events`, {
      method: 'POST',
      headers: { authorization: `Bearer ${tam}` },
    })
    expect(answer.status).toBe(403)
    expect(AsideList.parse((await send(kitchen.app, 'GET', '/kept-aside')).json).aside).toEqual([])
  })

  test('by somebody who might not is kept once; a lead takes it in their own name, or leaves it', async () => {
    const tam = await kitchen.letIn('tam')
    const [first, second] = [await place(), await place()]
    const drop = () => ({ events: [{ id: newId(), kind: 'cancelled', atMs: now(), counter: 0 }] })
    const [one, two] = [drop(), drop()]
    for (const body of [one, one])
      expect(codeOf(await as(tam, 'POST', `/tickets/${first.id}/events`, body))).toBe('kept-aside')
    await as(tam, 'POST', `/tickets/${second.id}/events`, two)
    const list = async () => AsideList.parse((await send(kitchen.app, 'GET', '/kept-aside')).json).aside
    const [kept, left] = await list()
    expect([kept?.path, kept?.staffId, await list()]).toEqual([`/tickets/${first.id}/events`, 'tam', [kept, left]])
    expect((await send(kitchen.app, 'POST', `${kept!.path}?taken=1`, kept!.body)).status).toBe(200)
    await send(kitchen.app, 'POST', `/kept-aside/${kept!.id}`, { isTaken: true })
    await send(kitchen.app, 'POST', `/kept-aside/${left!.id}`, { isTaken: false })
    expect(await list()).toEqual([])
    expect((await send(kitchen.app, 'POST', `/kept-aside/${left!.id}`, { isTaken: true })).status).toBe(404)
    const open = ((await send(kitchen.app, 'GET', '/tickets')).json as { tickets: Ticket[] }).tickets.map(
      ({ id }) => id,
    )
    expect([open.includes(first.id), open.includes(second.id)]).toEqual([false, true])
    expect(
      (await changes())
        .slice(0, 2)
        .map(({ what }) => what)
        .sort(),
    ).toEqual(['asideLeft', 'asideTaken'])
  })

  test('"taken" is a lead’s word only: a trainee who writes it is kept aside as well', async () => {
    const tam = await kitchen.letIn('tam')
    const ticket = await place()
    const body = { events: [{ id: newId(), kind: 'cancelled', atMs: now(), counter: 0 }] }
    expect(codeOf(await as(tam, 'POST', `/tickets/${ticket.id}/events?taken=1`, body))).toBe('kept-aside')
  })

  test('an allergen that may be in a dish is taken on by the lead who is signed in, and by nobody else', async () => {
    const body = newTicket('plain', 1, now() + 20 * MIN_MS, { allowedBy: 'wen' })
    expect(codeOf(await as(await kitchen.letIn('bram'), 'POST', '/tickets', body))).toBe('may-not')
    const [ticket] = TicketList.parse((await send(kitchen.app, 'POST', '/tickets', body)).json).tickets
    expect(ticket?.items[0]?.allowedBy).toBe('odalys')
  })
})

describe('a device that is shut out', () => {
  test('is out at once, its stream with it, and stays in the list; one cannot shut oneself out', async () => {
    const stolen = await kitchen.letIn('bram')
    const list = async () => DeviceList.parse((await send(kitchen.app, 'GET', '/paired-devices')).json).devices
    const device = (await list()).find(({ name }) => name === 'Device of bram')!
    expect(device.personId).toBe('bram')
    const stream = await kitchen.app.request('/api/live', { headers: { authorization: `Bearer ${stolen}` } })
    const reading = new Response(stream.body).text()
    await send(kitchen.app, 'DELETE', `/paired-devices/${device.id}`)
    expect(await reading).not.toContain('"people"')
    expect((await as(stolen, 'GET', '/tickets')).status).toBe(401)
    expect((await list()).find(({ id }) => id === device.id)?.shutOutAtMs).not.toBeNull()
    const own = (await list()).find(({ name }) => name === 'Test')!
    expect(codeOf(await send(kitchen.app, 'DELETE', `/paired-devices/${own.id}`))).toBe('may-not')
    expect((await changes())[0]).toMatchObject({ what: 'deviceShutOut', subject: 'Device of bram', staffId: 'odalys' })
  })
})

describe('who changed what', () => {
  test('rule set, limits, prices, people and PINs, with before and after; as CSV too', async () => {
    await send(kitchen.app, 'PUT', '/kitchen/rule-set', { ruleSet: 'uk' })
    await send(kitchen.app, 'PUT', '/kitchen/readings', { readsIn: 'F', weighsIn: 'g', isScottish: false })
    await send(kitchen.app, 'PUT', '/people/wen', { name: 'Wen', role: 'lead' })
    await send(kitchen.app, 'PUT', '/people/wen/pin', { pin: '2468' })
    const entries = await changes()
    expect(entries.map(({ what }) => what)).toEqual(['pinSet', 'personChanged', 'limits', 'ruleSet'])
    expect(entries[3]).toMatchObject({ was: 'us', became: 'uk', staffId: 'odalys', deviceName: 'Test' })
    expect(entries[1]).toMatchObject({ was: 'Wen, cook', became: 'Wen, lead' })
    expect(JSON.stringify(entries)).not.toContain('2468')
    const csv = await send(kitchen.app, 'GET', '/audit.csv')
    expect(csv.text.trim().split('\r\n')).toHaveLength(5)
    for (const method of ['PUT', 'POST', 'DELETE'])
      expect((await kitchen.app.request('/api/audit', { method })).status).toBe(404)
  })

  test('a lot that was accepted: by whom the session proves, with the reason, once', async () => {
    const { lots } = (await send(kitchen.app, 'GET', '/rice/lots')).json as { lots: unknown[] }
    const lot = Lot.parse(lots[0])
    const said = {
      id: newId(),
      lotId: lot.id,
      deviceId: 'phone',
      staffId: 'tam',
      atMs: now(),
      counter: 0,
      kind: 'accepted',
      reason: 'logger',
    }
    const answer = await send(kitchen.app, 'POST', `/rice/lots/${lot.id}/events`, { events: [said] })
    // This lot is proven already: nothing is accepted, and nothing is written down.
    expect(codeOf(answer)).toBe('lot-proven')
    expect((await changes()).filter(({ what }) => what === 'lotAccepted')).toEqual([])
  })
})

test('the PINs that the start command prints are those of the sample kitchen', async () => {
  for (const [staffId, pin] of Object.entries(DEMO_PINS))
    expect((await as(await kitchen.letIn(null), 'POST', '/me/sign-in', { staffId, pin })).status).toBe(200)
})
