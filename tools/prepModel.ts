import { MisePrepPlanInput, MisePrepPlanOutput } from 'contract/mise/prepModels'
import { planPrep } from 'core/mise/plan/planPrep'
import type { PlanTask, Span } from 'core/mise/plan/task'
import type { z } from 'zod'
import type { Answer, Model } from './model'

type Asked = z.infer<typeof MisePrepPlanInput>

function prepPlan(raw: unknown): Answer {
  const input = MisePrepPlanInput.parse(raw)
  const faults = [
    ...twice('tasks', input.tasks),
    ...twice('people', input.people),
    ...twice('equipment', input.equipment),
    ...input.tasks.flatMap(({ startedAt, endedAt }, i) =>
      endedAt !== undefined && startedAt === undefined
        ? [{ field: `tasks.${i}.startedAt`, message: 'what has ended was begun: say when' }]
        : [],
    ),
  ]
  if (faults.length > 0) return { kind: 'faults', faults }
  const serviceMs = Date.parse(input.serviceAt)
  const toS = (at: string) => (Date.parse(at) - serviceMs) / 1000
  const toAt = (atS: number) => new Date(serviceMs + atS * 1000).toISOString()
  const spanOf = ({ fromAt, toAt: endAt }: { fromAt: string; toAt: string }): Span => ({
    fromS: toS(fromAt),
    toS: toS(endAt),
  })
  const plan = planPrep({
    tasks: input.tasks.map((task) => taskOf(task, toS)),
    people: input.people.map(({ id, skills, hours }) => ({ id, skills, ...(hours && { hours: hours.map(spanOf) }) })),
    equipment: input.equipment.map(({ id, count, down }) => ({
      id,
      count,
      ...(down && { down: down.map((one) => ({ ...spanOf(one), count: one.count })) }),
    })),
    ...(input.nowAt !== undefined && { nowS: toS(input.nowAt) }),
    ...(input.aheadS !== undefined && { aheadS: input.aheadS }),
    ...(input.seed !== undefined && { seed: input.seed }),
    ...(input.passes !== undefined && { passes: input.passes }),
  })
  return {
    kind: 'output',
    output: {
      tasks: plan.tasks.map(({ id, startS, endS, who, slackS, critical, latestStartS, lateS, isFixed }) => ({
        id,
        startAt: toAt(startS),
        endAt: toAt(endS),
        who,
        slackS,
        critical,
        latestStartAt: !isFixed && Number.isFinite(latestStartS) ? toAt(latestStartS) : null,
        lateS,
      })),
      firstStartAt: plan.firstStartS === null ? null : toAt(plan.firstStartS),
      lowerBoundS: Math.max(0, plan.lowerBoundS),
      proven: plan.isProven,
      infeasible: plan.infeasible,
      chain: plan.chain,
    },
  }
}

function taskOf(task: Asked['tasks'][number], toS: (at: string) => number): PlanTask {
  const { id, durationS, hands, equipment, skill, personId, notBeforeAt, dueAt, startedAt, endedAt, who } = task
  const startS = startedAt === undefined ? null : toS(startedAt)
  return {
    id,
    durationS,
    hands,
    equipment,
    needs: task.needs.map((need) => {
      if (typeof need === 'string') return { taskId: need }
      const { minLagS, maxLagS } = need
      return { taskId: need.id, ...(minLagS !== undefined && { minLagS }), ...(maxLagS !== undefined && { maxLagS }) }
    }),
    ...(skill !== undefined && { skill }),
    ...(personId !== undefined && { personId }),
    ...(notBeforeAt !== undefined && { notBeforeS: toS(notBeforeAt) }),
    ...(dueAt !== undefined && { dueS: toS(dueAt) }),
    ...(startS !== null && {
      fixed: { startS, endS: endedAt === undefined ? startS + durationS : toS(endedAt), who: who ?? [] },
    }),
  }
}

function twice(field: string, rows: readonly { id: string }[]) {
  const seen = new Set<string>()
  return rows.flatMap(({ id }, i) => {
    if (seen.has(id))
      return [{ field: `${field}.${i}.id`, message: `"${id}" stands there twice: give each its own id` }]
    seen.add(id)
    return []
  })
}

export const PREP_MODELS: Readonly<Record<string, Model>> = {
  'mise.prepPlan': { input: MisePrepPlanInput, output: MisePrepPlanOutput, run: prepPlan },
}
