import { chromium } from '@playwright/test'
import { setTimeout as wait } from 'node:timers/promises'
import { v7 as newId } from 'uuid'
import { LAUNCH } from '../../e2e/launch'
import { lcg } from '../../server/src/demo/chance'
import { percentile } from '../bench/percentile'
import { judge } from './judge'
import { Phone } from './phone'
import { Rig } from './rig'
import { ask } from '../toolDevice'

const [folder = '', ...numbers] = process.argv.slice(2)
const [rounds = 1000, seed = 1] = numbers.map(Number)
const DISHES = ['plain', 'duck', 'crab', 'mushroom']
const OFF_MS = [600_000, -600_000, 172_800_000, -172_800_000]
const SETTLE_TRIES = 90
const ACTS_A_ROUND = 3
const ACT_EVERY_MS = 300

const random = lcg(seed)
const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T
const rig = new Rig(folder)
await rig.start()
const browser = await chromium.launch(LAUNCH)
const phones = [await Phone.open(browser, rig.url), await Phone.open(browser, rig.url)]
const placed: string[] = []

async function order(): Promise<void> {
  const id = newId()
  const ticket = { id, promisedAtMs: Date.now() + 900_000, items: [{ dishId: pick(DISHES), portions: 1 }] }
  const body = JSON.stringify(ticket)
  const send = () =>
    ask(`${rig.url}/api/tickets`, { method: 'POST', body, headers: { 'content-type': 'application/json' } })
  const answer = await send().catch(() => null)
  if (answer?.status === 201) placed.push(id)
}

/** What goes wrong in a round, while the phones are at work. */
const TROUBLES: readonly ((phone: Phone) => Promise<void>)[] = [
  () => rig.killServer(),
  () => rig.killBoth(),
  async (phone) => {
    await phone.cut(true)
    await wait(500 + 2000 * random())
    await phone.cut(false)
  },
  async (phone) => {
    await phone.cut(true)
    await phone.reload()
    await phone.cut(false)
  },
  (phone) => phone.reload(),
  (phone) => phone.setClock(pick(OFF_MS)),
  () => Promise.resolve(),
]

/** Rounds in which nobody said anything more: the phones are at a place that this tool does not know its way out of. */
const STUCK_ROUNDS = 60
let saidBefore = 0
let lastSaidRound = 0

async function seeThatTheyWork(): Promise<void> {
  const said = phones.reduce((sum, phone) => sum + phone.said.size, 0)
  if (said > saidBefore) lastSaidRound = round
  saidBefore = said
  if (round - lastSaidRound < STUCK_ROUNDS) return
  const screens = await Promise.all(phones.map((phone) => phone.page.locator('body').innerText()))
  console.log(`nothing was said for ${STUCK_ROUNDS} rounds; the phones show:`)
  screens.forEach((screen) => console.log(screen.replace(/\n+/g, ' / ').slice(0, 900)))
  process.exit(1)
}

let isEnough = false
process.once('SIGUSR2', () => (isEnough = true))
let round = 0
while (round < rounds && !isEnough) {
  round += 1
  if (random() < 0.5) await order()
  const [phone, other] = random() < 0.5 ? [phones[0]!, phones[1]!] : [phones[1]!, phones[0]!]
  const act = async () => {
    for (let n = 0; n < ACTS_A_ROUND; n += 1) {
      await phone.act()
      await wait(ACT_EVERY_MS)
    }
  }
  const crossed = async () => {
    const path = new URL(phone.page.url()).pathname
    if (random() < 0.3 && path.startsWith('/wok/')) {
      await other.look(path)
      await other.act()
    }
  }
  await Promise.all([act(), crossed(), wait(200 * random()).then(() => pick(TROUBLES)(phone))])
  await seeThatTheyWork()
  if (round % 50 === 0) console.log(`round ${round}: ${phones.map(({ said }) => said.size).join(' + ')} said`)
}

for (let tries = 0; tries < SETTLE_TRIES; tries += 1) {
  const waiting = await Promise.all(phones.map((phone) => phone.waiting()))
  if (waiting.every(({ unsent }) => unsent.length === 0)) break
  await wait(1000)
}
const verdict = await judge(rig, phones, placed)
await browser.close()
await rig.end()
console.log(
  `${round} rounds (seed ${seed}): ${verdict.said} said, ${verdict.tickets} tickets placed, ${verdict.refused} refused with a reason`,
)
console.log(`${verdict.lost.length} lost, ${verdict.doubled.length} doubled, ${verdict.unseen} checks confirmed unseen`)
console.log(
  `${rig.recoveriesMs.length} kills, back after ${Math.round(percentile(rig.recoveriesMs, 0.5))} ms (median), ${Math.round(Math.max(0, ...rig.recoveriesMs))} ms (most)`,
)
const faults = [...verdict.lost, ...verdict.doubled]
faults.forEach((fault) => console.log(fault))
process.exit(faults.length + verdict.unseen === 0 ? 0 : 1)
