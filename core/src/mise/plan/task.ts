/** Seconds on one axis, whole numbers; planners count from the service: before it is negative. */
export type Span = { fromS: number; toS: number }

/** What must end first, and how long after its end this may begin at the least and must begin at the most. */
export type Need = { taskId: string; minLagS?: number; maxLagS?: number }

/** A task to place: its length, hands, skill, equipment and what comes before it. */
export type PlanTask = {
  id: string
  durationS: number
  needs: readonly Need[]
  /** People it takes from start to end; 0 is hands-off. */
  hands: number
  /** What those people must be able to do. */
  skill?: string
  /** One of each while it runs. */
  equipment: readonly string[]
  /** Handed to this person. */
  personId?: string
  notBeforeS?: number
  /** Ends no later than this; where absent, than the service. */
  dueS?: number
  /** What is lost where it is not done, for what is done first. */
  weight?: number
  /** Under way or done: it stays where it is. `endS` is when it ended or is expected to. */
  fixed?: { startS: number; endS: number; who: readonly string[] }
}

/** Somebody to place tasks on, with skills and hours. */
export type PlanPerson = {
  id: string
  skills: readonly string[]
  /** When this person is here; where absent, always. */
  hours?: readonly Span[]
}

/** Equipment that tasks share, with when it is down. */
export type PlanEquipment = {
  id: string
  count: number
  /** When so many of it are broken or taken. */
  down?: readonly (Span & { count: number })[]
}

/** Everything that a prep plan is placed over. */
export type PlanInput = {
  tasks: readonly PlanTask[]
  people: readonly PlanPerson[]
  equipment: readonly PlanEquipment[]
  /** Nothing that is not under way begins before it; where absent, the plan may begin as early as it must. */
  nowS?: number
  /** How long before its latest start a task may be begun; where absent, as soon as the first task. */
  aheadS?: number
  seed?: number
  /** How often the plan is tried anew: each is a pass with its justification; the same number gives the same plan. */
  passes?: number
  /** Starts of an earlier plan: the search begins there, so that more people never make it later. */
  before?: ReadonlyMap<string, number>
}

/** Why a task is not in the plan at all, with what it takes to say what to change. */
export type Infeasible =
  | { taskId: string; why: 'loop'; path: string[] }
  | { taskId: string; why: 'unknown-need'; name: string }
  | { taskId: string; why: 'unknown-equipment'; name: string }
  | { taskId: string; why: 'no-people' }
  | { taskId: string; why: 'unknown-person'; name: string }
  | { taskId: string; why: 'no-skill'; name: string }
  | { taskId: string; why: 'too-few-hands'; hands: number; people: number }
  | { taskId: string; why: 'no-hours'; neededS: number; longestS: number }
  | { taskId: string; why: 'needs-infeasible'; name: string }
  /** It can be placed, but not within the time that it keeps after what it needs. */
  | { taskId: string; why: 'max-lag'; name: string; lagS: number; maxLagS: number }
  /** What it needs is due so early that it cannot begin within the time that keeps: by so much too late. */
  | { taskId: string; why: 'due-max-lag'; name: string; maxLagS: number; overS: number }

/** A task with its start, end and people. */
export type PlannedTask = {
  id: string
  startS: number
  endS: number
  who: string[]
  /** Latest start of the best plan that works back from the service. */
  latestStartS: number
  /** How much later it may start without making anything late, all else as planned; 0 on the chain that decides. */
  slackS: number
  critical: boolean
  /** How long after its due time it ends; 0 where it is in time. */
  lateS: number
  /** Under way or done. */
  isFixed: boolean
}

/** A prep plan: tasks in time, its bound, the chain that decides, and what cannot be. */
export type Plan = {
  tasks: PlannedTask[]
  /** As late as possible: what the plan that works back from the service begins with. Null without tasks to place. */
  firstStartS: number | null
  lowerBoundS: number
  /** The lower bound was reached: no plan begins later. */
  isProven: boolean
  infeasible: Infeasible[]
  /** The chain with the least slack, first to last. */
  chain: string[]
}
