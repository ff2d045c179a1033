import type { ProximateComposition } from '../../physics/food'
import type { Role, State } from '../../book/dish'
import type { Pin } from '../../book/pins'
import type { EggWish } from '../../book/eggWish'
import type { SchoolName, SchoolValue, StatedSchools } from '../../book/schools'
import type { Stage, StageShare } from '../../book/dish'
import type { HeatFood } from '../heat/foods'

/** When a component is done. */
export const TARGETS = [
  'fragrant',
  'golden',
  'bloomed',
  'softened',
  'tenderCrisp',
  'wilted',
  'heatedThrough',
  'set',
  'cookedThrough',
  'dryGrained',
  'crusted',
  'none',
] as const
export type TargetKind = (typeof TARGETS)[number]
/** `value` is the share of an egg that is set; nothing else has one. */
export type Target = { kind: TargetKind; value?: number | undefined }

/** What matters of a component besides its food: yolk alone; pepper that goes last; a soft herb; thin, so late; ground. */
export const TAGS = ['yolk', 'volatile', 'tender', 'sesame', 'quick', 'mince'] as const
export type Tag = (typeof TAGS)[number]

/** One way through all schools. */
export type Choice = { [Name in SchoolName]: SchoolValue<Name> } & { order: BaseOrder; quick: 'inBase' | 'afterRice' }

/** How the base is ordered: slow ones first; by role; proteins first; by need, longest first. */
export const BASE_ORDERS = ['slowFirst', 'roles', 'proteinFirst', 'need'] as const
export type BaseOrder = (typeof BASE_ORDERS)[number]

/** One component as the engine asks for it. What is left out is taken from its role and food. */
export type ComponentInput = {
  id: string
  role: Role
  state?: State | undefined
  food?: HeatFood | undefined
  cut?:
    | { shape?: string | undefined; sizeMm?: number | null | undefined; afterCooking?: boolean | undefined }
    | null
    | undefined
  /** Grams per 100 g of cooked rice. */
  ratioG: number
  tempC?: number | undefined
  target?: Target | undefined
  tags?: readonly Tag[] | undefined
  allergens?: readonly string[] | undefined
  /** Whether its row says that it may be eaten as it is; what nobody knows is raw. */
  readyToEat?: boolean | undefined
  /** Its row says that it is raw, whatever its state is called. */
  mustCook?: boolean | undefined
  waterFraction?: number | undefined
  /** Mass fractions, where its row says them; else its class. */
  composition?: ProximateComposition | undefined
  /** Lumps of rice that was not loosened [mm]. */
  lumpMm?: number | undefined
  /** Fat by mass, where its row says; else its class. */
  fatFraction?: number | undefined
  /** Smoke point of a fat, where it is known [°C]. */
  smokesAtC?: number | undefined
  /** Shares that go in with other stages; the rest has its own place. */
  stages?: readonly StageShare[] | undefined
}

/** A component, or a part of one: a share that goes in with a stage, or what one lap of a large order gets of it. */
export type PartInput = ComponentInput & {
  /** What the dish calls it; its id where it is all of it. */
  of?: string | undefined
  /** The stage that this share goes in with; none where it has its own place. */
  stage?: Stage | undefined
  /** Part of a large order that it is fried with, from 1 on; none where it is cooked once. */
  lap?: number | undefined
}

/** A dish as the engine asks for it. */
export type DishInput = {
  name: string
  schools: StatedSchools
  components: readonly ComponentInput[]
  pins?: readonly Pin[] | undefined
  /** How the guests want the egg: it stands over the dish's school. */
  eggWish?: EggWish | null | undefined
  /** Allergens that some portions of the batch must not have: they go in after the flame is off. */
  splitAllergens?: readonly string[] | undefined
}
