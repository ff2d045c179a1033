import { EventId } from 'contract/ids'
import type { SaidOfLot } from 'contract/rice'
import { inTrays } from 'core/rice/cooling/coolingPlace'
import { coolTray } from 'core/rice/cooling/coolTray'
import { fitCooling, tempAtC } from 'core/rice/cooling/fitCooling'
import { trayStages } from 'core/rice/cooling/predictCooling'
import { isStuck } from 'core/rice/lot/doubtReading'
import { lotOnTray, type LotOnTray } from 'core/rice/lot/lotForecast'
import type { LotState } from 'core/rice/lot/lotState'
import type { Pool } from 'mysql2/promise'
import { v7 as newId } from 'uuid'
import { inTransaction } from '../../db/pool'
import { probedLot, takeReading, type ProbedLot } from '../../rice/probedLot'
import { hasInstrument } from '../needInstrument'
import { findProbe, saveProbe } from './probe.sql'
import { simulatedProbe } from './simulatedProbe'

const READ_EVERY_MS = 120_000
const LATE_FROM_MS = 600_000

/** Takes the probe's next reading when it is due; the row's lock keeps two servers from taking it twice. */
export async function runProbe(pool: Pool, kitchenId: string, nowMs: number): Promise<number> {
  const { lotId, readAtMs } = await findProbe(pool, kitchenId)
  if (lotId === null || nowMs - (readAtMs ?? 0) < READ_EVERY_MS) return 0
  if (!(await hasInstrument(pool, kitchenId, 'probe'))) return 0
  return inTransaction(pool, async (connection) => {
    const probe = await findProbe(connection, kitchenId, true)
    if (probe.lotId === null || nowMs - (probe.readAtMs ?? 0) < READ_EVERY_MS) return 0
    const probed = await probedLot(connection, kitchenId, probe.lotId, nowMs)
    const tray = probed && !probed.state.end ? lotOnTray(probed.state, coolingOf(probed.house), nowMs) : null
    await saveProbe(connection, kitchenId, { ...probe, readAtMs: nowMs, ...(tray ? {} : { lotId: null }) })
    if (!probed || !tray) return 0
    const sinceMs = probe.sinceMs ?? nowMs
    const before = tray.readings.filter((one) => tray.fromMs + one.timeS * 1000 < sinceMs)
    const { surfaceFactor } = fitCooling(tray.tray, tray.stages, before)
    const adapter = simulatedProbe({ ...probe, sinceMs, surfaceFactor }, tray)
    const reading = adapter.read(nowMs)
    if (!reading) return 0
    const event: SaidOfLot = {
      id: EventId.parse(newId()),
      lotId: probe.lotId,
      deviceId: 'probe',
      counter: 0,
      kind: 'read',
      source: 'probe',
      tempC: reading.tempC,
      atMs: reading.atMs,
    }
    await takeReading(connection, probed, event, doubtOf(reading, probed.state, tray, nowMs), nowMs)
    return 1
  })
}

const coolingOf = ({ policy }: ProbedLot['house']) => inTrays(policy.cooling, policy.tray.material)

/** What only shows over time: a probe that sends late, or the same again and again while the tray must have cooled. */
function doubtOf(reading: { tempC: number; atMs: number }, state: LotState, tray: LotOnTray, nowMs: number) {
  if (nowMs - reading.atMs > LATE_FROM_MS) return 'late' as const
  const own = state.readings.filter((one) => one.source === 'probe' && one.atMs >= tray.fromMs)
  const curve = coolTray(tray.tray, trayStages(tray.stages))
  const expectedC = (atMs: number) => tempAtC(curve, (atMs - tray.fromMs) / 1000)
  return isStuck([...own, reading], expectedC) ? ('stuck' as const) : null
}
