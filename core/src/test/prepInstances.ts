import fc from 'fast-check'
import type { PlanInput, PlanTask } from '../mise/plan/task'

/** Small prep plans: tasks that need earlier ones, hands, tools and lags. */
export const prepInstance = ({ least = 1, most = 9, withHours = true } = {}): fc.Arbitrary<PlanInput> =>
  fc
    .record({
      tasks: fc.array(
        fc.record({
          durationS: fc.integer({ min: 1, max: 9 }),
          hands: fc.constantFrom(0, 1, 1, 1, 2),
          equipment: fc.subarray(['ring', 'sink'], { maxLength: 1 }),
          needs: fc.array(
            fc.record({ back: fc.integer({ min: 1, max: 4 }), minLagS: fc.integer({ min: 0, max: 3 }) }),
            {
              maxLength: 2,
            },
          ),
          skill: fc.constantFrom(undefined, undefined, undefined, 'knife'),
        }),
        { minLength: least, maxLength: most },
      ),
      people: fc.integer({ min: 2, max: 4 }),
      rings: fc.integer({ min: 1, max: 2 }),
      breakFromS: fc.option(fc.integer({ min: -30, max: -5 })),
    })
    .map(({ tasks, people, rings, breakFromS }) => ({
      tasks: tasks.map((task, i): PlanTask => {
        const needs = task.needs.flatMap(({ back, minLagS }) => (back > i ? [] : [{ taskId: `t${i - back}`, minLagS }]))
        return {
          id: `t${i}`,
          durationS: task.durationS,
          hands: task.hands,
          equipment: task.equipment,
          needs: [...new Map(needs.map((need) => [need.taskId, need])).values()],
          ...(task.skill !== undefined && task.hands > 0 && { skill: task.skill }),
        }
      }),
      people: Array.from({ length: people }, (_, i) => ({
        id: `p${i}`,
        skills: i < 2 ? ['knife'] : [],
        ...(withHours &&
          breakFromS !== null && {
            hours: [
              { fromS: -500, toS: breakFromS },
              { fromS: breakFromS + 4, toS: 0 },
            ],
          }),
      })),
      equipment: [
        { id: 'ring', count: rings },
        { id: 'sink', count: 1 },
      ],
    }))
