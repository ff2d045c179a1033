import { LineCheckInput, LineCheckOutput, LinePlanInput, LinePlanOutput } from 'contract/lineModels'
import { checkPlan } from 'core/line/check/checkPlan'
import { instanceFaults } from 'core/line/planner/instanceFaults'
import { planInstance } from 'core/line/planner/planInstance'
import type { Answer, Model } from './model'

/** Plans the evening; the command takes the instance itself, or as a field. */
function linePlan(raw: unknown): Answer {
  const input = LinePlanInput.parse(raw)
  const { seed, evaluations } = input
  const instance = 'instance' in input ? input.instance : input
  const faults = instanceFaults(instance)
  if (faults.length > 0) return { kind: 'faults', faults }
  return { kind: 'output', output: planInstance(instance, { seed, evaluations }) }
}

function lineCheck(raw: unknown): Answer {
  const { instance, plan } = LineCheckInput.parse(raw)
  const faults = instanceFaults(instance)
  if (faults.length > 0) return { kind: 'faults', faults }
  return { kind: 'output', output: checkPlan(instance, plan) }
}

export const LINE_MODELS: Readonly<Record<string, Model>> = {
  'line.plan': { input: LinePlanInput, output: LinePlanOutput, run: linePlan },
  'line.check': { input: LineCheckInput, output: LineCheckOutput, run: lineCheck },
}
