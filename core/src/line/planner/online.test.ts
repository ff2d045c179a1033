import { rushOf } from '../../test/lineInstances'
import { onlineEvening } from '../past/onlineEvening'
import { planByRule, planList } from './planInstance'
import type { WantedBatch } from './placeList'

jest.setTimeout(300_000)

test('an evening that is planned as tickets come keeps every rule, beats earliest promise with delays, and stays calm', () => {
  const evening = rushOf(30, 5)
  let told: WantedBatch[] = []
  const planned = onlineEvening(evening, (known) => {
    const { plan, list } = planList(known, { evaluations: 1500, start: told })
    told = list
    return plan.batches
  })
  const edd = onlineEvening(evening, (known) => planByRule(known, 'edd', true).batches)
  expect([planned.errors, edd.errors]).toEqual([[], []])
  expect(planned.points).toBeLessThan(0.7 * edd.points)
  expect(planned.toldChanged).toBeLessThan(0.2 * planned.replans)
})
