import type { MisePolicy } from 'contract/mise/house'
import { itemsOn, type Listed } from 'core/mise/house/changeHouse'
import { useWords } from '../../words/i18n'

/** What stands on a tool or at a place, in words: "3 cards use it"; null where nothing does. */
export function useUsesOf(list: Listed, policy: MisePolicy): (id: string) => string | null {
  const t = useWords('setup')
  return (id) => {
    const count = itemsOn(policy, list, id).length
    if (count === 0) return null
    return t(list === 'places' ? 'prep.standThere' : 'prep.usedBy', { count })
  }
}
