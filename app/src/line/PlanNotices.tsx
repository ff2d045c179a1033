import type { OrderWhy } from 'core/line/plan/whyChanged'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { Notice } from '../ui/Notice'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { formatTime } from '../words/format'
import { laterUntil } from './lineWords'
import { sayWish } from './plan/useLineState'
import type { Line } from './useLinePlan'
import { useRiceEnd } from './useSupplies'
import { useMassWords } from '../setup/useMassWords'

/** More than these would push the plan off a phone. */
const GONE_SHOWN = 2

/** What everybody at the line has to know of the plan: what is 86, who is without a station, and why it is another one. */
export function PlanNotices({ line }: { line: Line }) {
  const { mass } = useMassWords()
  const t = useWords('line')
  const why = useWhyWords(line)
  const dishName = (id: string) => line.dishes.find((one) => one.id === id)?.shortName ?? id
  const listOf = (parts: readonly { ticketNumber: number }[]) =>
    [...new Set(parts.map(({ ticketNumber }) => ticketNumber))].join(', ')
  const downs = line.kitchen.stations.filter(({ id }) => line.wishes.downStations.includes(id))
  const laters = line.kitchen.stations.flatMap(({ id, name }) => {
    const backAtMs = laterUntil(line, id)
    return backAtMs === null
      ? []
      : [t('plan.later', { station: name, time: formatTime(backAtMs, line.kitchen.timeZone) })]
  })
  const rice = useRiceEnd(line)
  const whys = line.told?.key === line.basis.key ? line.told.why.map(why).filter(Boolean) : []
  return (
    <View aria-live="polite" className="gap-1 px-4">
      {line.gone.slice(0, GONE_SHOWN).map((one) => (
        <Notice
          key={one.parts[0]?.itemId ?? ''}
          kind="conflict"
          isSmall
          title={t(one.because.kind === 'dish' ? 'plan.goneDish' : 'plan.goneComponent', {
            dish: `${dishName(one.dishId)} ${one.portions}`,
            tickets: listOf(one.parts),
            component: one.because.kind === 'component' ? one.because.name : '',
          })}
        />
      ))}
      {line.gone.length > GONE_SHOWN && (
        <Text weight="bold">
          {t('plan.goneMore', { tickets: listOf(line.gone.slice(GONE_SHOWN).flatMap(({ parts }) => parts)) })}
        </Text>
      )}
      <MovedTwice line={line} />
      {downs.length > 0 && (
        <Text weight="bold">{t('plan.down', { stations: downs.map(({ name }) => name).join(', ') })}</Text>
      )}
      {laters.length > 0 && <Text weight="bold">{laters.join(', ')}</Text>}
      {rice && (
        <Notice
          kind="conflict"
          isSmall
          title={t('plan.riceEnds', { ticket: rice.ticketNumber, mass: mass(rice.allShortG) })}
        />
      )}
      {line.portionsBeyond > 0 && <Text tone="ash">{t('plan.beyond', { count: line.portionsBeyond })}</Text>}
      {line.isOld ? (
        <Text tone="ash">{t('plan.old')}</Text>
      ) : (
        whys.length > 0 && <Text tone="ash">{t('plan.because', { why: whys.join('; ') })}</Text>
      )}
    </View>
  )
}

/** Two moved the same portions before they saw each other: the later holds, and the earlier is taken off when it was seen. */
function MovedTwice({ line }: { line: Line }) {
  const t = useWords('line')
  return line.overruled.map(({ pin, by }) => {
    const ticket = line.tickets.find(({ items }) => items.some(({ id }) => id === pin.parts[0]?.itemId))
    const item = ticket?.items.find(({ id }) => id === pin.parts[0]?.itemId)
    const dish = line.dishes.find(({ id }) => id === item?.dishId)
    const staffId = line.wishes.pinnedBy.get(by.pinId)?.staffId
    const who = line.kitchen.staff.find(({ id }) => id === staffId)?.name ?? t('hand.twiceNobody')
    return (
      <Notice
        key={pin.pinId}
        kind="conflict"
        isSmall
        title={t('hand.twice', { dish: `${dish?.shortName ?? ''} ${ticket?.number ?? ''}`.trim(), who })}
      >
        <Button label={t('hand.twiceSeen')} onPress={() => sayWish({ kind: 'pin', isOff: true, ...pin })} />
      </Notice>
    )
  })
}

function useWhyWords(line: Line): (why: OrderWhy) => string {
  const t = useWords('line')
  const station = (id: string) => line.kitchen.stations.find((one) => one.id === id)?.name ?? id
  return ({ kind, names }) => {
    switch (kind) {
      case 'anew':
        return ''
      case 'down':
      case 'later':
      case 'back':
        return t(`plan.why.${kind}`, { names: names.map(station).join(', ') })
      case 'ticket':
      case 'fewer':
        return t(`plan.why.${kind}`, { names: names.filter((number) => number !== '0').join(', ') })
      case 'run':
      case 'gone':
      case 'hands':
      case 'weights':
      case 'pin':
        return t(`plan.why.${kind}`)
    }
  }
}
