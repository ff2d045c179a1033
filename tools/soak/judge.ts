import type { Phone } from './phone'
import type { Rig } from './rig'

type Verdict = { said: number; tickets: number; refused: number; lost: string[]; doubled: string[]; unseen: number }

/** Compares what the phones ever kept to be sent with what the kitchen has. */
export async function judge(rig: Rig, phones: readonly Phone[], placed: readonly string[]): Promise<Verdict> {
  const ids = async (sql: string) => new Set((await rig.query<{ id: string }>(sql)).map(({ id }) => id))
  const events = await ids('SELECT id FROM run_event UNION SELECT id FROM refused_event')
  const runs = await ids('SELECT id FROM run')
  const tickets = await ids('SELECT id FROM ticket')
  const lost: string[] = placed.filter((id) => !tickets.has(id)).map((id) => `ticket ${id} is lost`)
  const verdict: Verdict = { said: 0, tickets: placed.length, refused: 0, lost, doubled: [], unseen: 0 }
  for (const phone of phones) {
    const { unsent, refused } = await phone.waiting()
    verdict.refused += refused.length
    verdict.lost.push(...unsent.map((key) => `${key} was not sent`))
    let checks = 0
    for (const [key, { kind, body }] of phone.said) {
      verdict.said += 1
      const isKept = refused.includes(key) || unsent.includes(key)
      if (kind === 'run' && !isKept && !runs.has(body.id ?? '')) verdict.lost.push(`run ${body.id} is lost`)
      for (const event of kind === 'runEvents' ? (body.events ?? []) : []) {
        checks += Number(event.kind === 'checked')
        if (!isKept && !events.has(event.id)) verdict.lost.push(`${event.kind} ${event.id} is lost`)
      }
    }
    verdict.unseen += Math.max(0, checks - phone.yesTaps)
  }
  const twice = await rig.query<{ runId: string; stepId: string; times: number }>(
    `SELECT run_id AS runId, JSON_VALUE(body, '$.stepId') AS stepId, COUNT(*) AS times FROM run_event
      WHERE kind = 'done' GROUP BY run_id, device_id, stepId HAVING times > 1`,
  )
  verdict.doubled.push(
    ...twice.map(({ runId, stepId, times }) => `step ${stepId} of ${runId} was said done ${times} times`),
  )
  return verdict
}
