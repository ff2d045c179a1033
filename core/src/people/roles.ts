/** What somebody is in a kitchen, from the one who answers for all of it to the one who learns. */
export const ROLES = ['owner', 'lead', 'cook', 'prep', 'trainee'] as const
export type Role = (typeof ROLES)[number]

/** Everything that can be done, in the kitchen's words. */
export const ACTIONS = [
  'read',
  'rehearse',
  'takeOrders',
  'cook',
  'prepare',
  'taste',
  'tell',
  'decide',
  'accept',
  'plan',
  'writeBook',
  'measure',
  'arrange',
  'price',
  'people',
  'rules',
  'archive',
] as const
export type Action = (typeof ACTIONS)[number]

const EVERYBODY: readonly Role[] = ROLES
const WORKERS: readonly Role[] = ['owner', 'lead', 'cook', 'prep']
const LINE: readonly Role[] = ['owner', 'lead', 'cook']
const LEADS: readonly Role[] = ['owner', 'lead']
const OWNERS: readonly Role[] = ['owner']

/** Who may do what; `docs/people.md` prints this table, and every address of the API names its row. Common practice. */
export const MAY: Readonly<Record<Action, readonly Role[]>> = {
  read: EVERYBODY,
  rehearse: EVERYBODY,
  takeOrders: EVERYBODY,
  cook: LINE,
  prepare: WORKERS,
  taste: WORKERS,
  tell: WORKERS,
  decide: LEADS,
  accept: LEADS,
  plan: LEADS,
  writeBook: LEADS,
  measure: LINE,
  arrange: LEADS,
  price: OWNERS,
  people: OWNERS,
  rules: OWNERS,
  archive: OWNERS,
}

/** What a device that was let in does while nobody has signed in: it shows the kitchen, and a till sends its orders. */
const WITHOUT_ANYBODY: readonly Action[] = ['read', 'rehearse', 'takeOrders']

/** Whether somebody of this role may do it; null is a paired device at which nobody signed in. */
export function may(role: Role | null, action: Action): boolean {
  return role === null ? WITHOUT_ANYBODY.includes(action) : MAY[action].includes(role)
}

/** Whether one of this role leads: may accept what a log does not prove, and cooks as well. */
export const isLead = (role: Role): boolean => LEADS.includes(role)
/** Whether one of this role cooks at the line. */
export const isAtLine = (role: Role): boolean => LINE.includes(role)
/** Whether one of this role says who they are by a PIN: whoever may change anything. */
export const needsPin = (role: Role): boolean => ACTIONS.some((action) => may(role, action) && !may(null, action))
/** Whether somebody of this role, or nobody who signed in, is still learning the wok. */
export const isLearning = (role: Role | null): boolean => role === null || role === 'trainee'
