import type { Dish } from 'contract/dish'
import type { NewTicket } from 'contract/ticket'
import { leadIdsOf, type Kitchen } from 'contract/kitchen'
import { allergenListOf } from 'core/book/allergens'
import { varyDish } from 'core/book/variation/vary'
import { Problem } from '../http/problems'

/** A promise this far gone [ms] is still taken: a feed may be slow, and clocks differ. */
const PAST_GRACE_MS = 60_000
/** No kitchen promises further ahead [ms] than this for an order at the station. */
const AHEAD_LIMIT_MS = 36 * 3_600_000

/**
 * Checks a ticket against the book and the clock.
 * @throws {Problem} unknown-dish, unknown-modifier, modifier-removes-rice, allergen-stays, allergen-unknown, allergen-may,
 *   unknown-staff, promise-past or invalid
 */
export function checkTicket(
  ticket: NewTicket,
  dishes: readonly Dish[],
  kitchen: Pick<Kitchen, 'ruleSet' | 'staff'>,
  nowMs: number,
): void {
  if (ticket.promisedAtMs < nowMs - PAST_GRACE_MS) {
    throw new Problem('promise-past', {
      detail: `promisedAtMs lies ${Math.round((nowMs - ticket.promisedAtMs) / 60_000)} min in the past: give the time it is wanted`,
      faults: [{ field: 'promisedAtMs', message: 'lies in the past' }],
    })
  }
  if (ticket.promisedAtMs > nowMs + AHEAD_LIMIT_MS) {
    throw new Problem('invalid', {
      detail: 'promisedAtMs is more than 36 hours ahead: check the date, or the unit (milliseconds)',
      faults: [{ field: 'promisedAtMs', message: 'is more than 36 hours ahead' }],
    })
  }
  ticket.items.forEach((item, index) => {
    const dish = dishes.find((one) => one.id === item.dishId)
    const field = `items.${index}`
    if (!dish) {
      throw new Problem('unknown-dish', {
        detail: `no dish "${item.dishId}" in the book: use one of ${dishes.map((one) => one.id).join(', ')}`,
        faults: [{ field: `${field}.dishId`, message: 'is not in the book' }],
        values: { dish: item.dishId },
      })
    }
    const varied = varyDish(dish, item.modifiers, item.allergies, allergenListOf(kitchen.ruleSet))
    switch (varied.kind) {
      case 'unknown-modifier':
        throw new Problem('unknown-modifier', {
          detail: `${dish.name} has no modifier "${varied.modifierId}": use ${dish.modifiers.map((one) => one.id).join(', ') || 'none'}`,
          faults: [{ field: `${field}.modifiers`, message: `"${varied.modifierId}" is not one of this dish's` }],
          values: { modifier: varied.modifierId, dish: dish.name },
        })
      case 'removes-rice':
        throw new Problem('modifier-removes-rice', {
          detail: `"${varied.modifierId}" takes the rice out of ${dish.name}: change the modifier in the book`,
          faults: [{ field: `${field}.modifiers`, message: 'may not remove the rice' }],
          values: { modifier: varied.modifierId, dish: dish.name },
        })
      case 'allergen-stays':
        throw new Problem('allergen-stays', {
          detail: `${dish.name} cannot be made without ${varied.allergen} (${varied.components.join(', ')}): offer another dish`,
          faults: [
            { field: `${field}.allergies`, message: `${varied.allergen} stays in ${varied.components.join(', ')}` },
          ],
          values: { allergen: varied.allergen, dish: dish.name, components: varied.components.join(', ') },
        })
      case 'allergen-unknown':
        throw new Problem('allergen-unknown', {
          detail: `${varied.components.join(', ')} is not in the table: say what is in it, before ${dish.name} is sold to somebody with an allergy to ${varied.allergen}`,
          faults: [
            {
              field: `${field}.allergies`,
              message: `nobody knows whether ${varied.allergen} is in ${varied.components.join(', ')}`,
            },
          ],
          values: { allergen: varied.allergen, dish: dish.name, components: varied.components.join(', ') },
        })
      case 'varied': {
        const [perhaps] = varied.perhaps
        if (!perhaps || leadIdsOf(kitchen).includes(item.allowedBy ?? '')) return
        throw new Problem('allergen-may', {
          detail: `${dish.name} may contain ${perhaps.allergen} (${perhaps.components.join(', ')}): ask the lead, whose id goes into allowedBy, or offer another dish`,
          faults: [
            {
              field: `${field}.allowedBy`,
              message: `${perhaps.components.join(', ')} may contain ${perhaps.allergen}: only a lead takes that on`,
            },
          ],
          values: { allergen: perhaps.allergen, dish: dish.name, components: perhaps.components.join(', ') },
        })
      }
    }
  })
}
