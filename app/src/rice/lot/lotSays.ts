import type { LotEvent } from 'contract/rice'
import { formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { centimetres, useLotWords } from '../lotWords'
import type { LotPage } from './lotPage'
import { useMassWords } from '../../setup/useMassWords'

/** What was said of a lot, in a sentence. */
export function useLotSays({ kitchen, house }: LotPage): (event: LotEvent) => string {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  return (event) => {
    switch (event.kind) {
      case 'spread':
        return t('lot.says.spread', {
          mass: bulk(event.massG, 2),
          temp: formatTemp(event, kitchen.readsIn),
          cm: centimetres(event.depthM),
        })
      case 'moved':
        return t('lot.says.moved', { place: words.placeName(event) })
      case 'read': {
        const read = t('lot.says.read', { temp: formatTemp(event, kitchen.readsIn) })
        return event.doubt ? `${read}, ${t(`cool.doubts.${event.doubt}`)}` : read
      }
      case 'counted':
      case 'gave':
      case 'took':
      case 'used':
        return t(`lot.says.${event.kind}`, { mass: bulk(event.massG, 2) })
      case 'discarded':
      case 'refused':
        return t(`lot.says.${event.kind}`, { reason: t(`lot.reasons.${event.reason}`) })
      case 'accepted':
        return t('lot.says.accepted', { why: event.reason })
      case 'loosened':
        return t('lot.says.loosened', { how: t(`lot.looseness.${event.looseness}.name`) })
      case 'ruleSet':
        return t('lot.says.ruleSet', { to: event.to.toUpperCase() })
      case 'confirmed':
      case 'finished':
      case 'undone':
        return t(`lot.says.${event.kind}`)
    }
  }
}
