import type { Dish } from 'contract/dish'
import { SCHOOLS } from 'core/book/schools'
import { View } from 'react-native'
import { useReadsIn } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
import { OneOf } from '../../ui/OneOf'
import { Text } from '../../ui/Text'
import { degrees } from '../../words/format'
import { useWords } from '../../words/i18n'
import { MOST_PORTIONS, POWER_KW, type WhatIf } from './useWhatIf'

type Props = Pick<WhatIf, 'wondered' | 'change' | 'reset'> & { dish: Dish }

type Asked = {
  name: string
  value: number
  least: number
  most: number
  step?: number
  unit: string
  to: (value: number) => void
}

/** What of a dish may be wondered about by its number: of sauce and of cuts only where it has any. */
function useAsked({ dish, wondered, change }: Omit<Props, 'reset'>): Asked[] {
  const t = useWords('book')
  const readsIn = useReadsIn()
  const { portions, powerW, riceTempC, riceWaterFraction, riceLumpMm, sauceFactor, cutFactor } = wondered
  const shown = (tempC: number) => Math.round(degrees({ tempC }, readsIn))
  const tempOf = (value: number) => (readsIn === 'F' ? ((value - 32) * 5) / 9 : value)
  const hasCut = dish.components.some(({ cut }) => (cut?.sizeMm ?? null) !== null)
  const hasSauce = dish.components.some(({ role }) => role === 'liquidSeasoning')
  const times = { step: 0.2, unit: t('whatIf.ask.timesUnit') }
  return [
    {
      name: t('whatIf.ask.portions'),
      ...{ value: portions, least: 1, most: MOST_PORTIONS, unit: t('whatIf.ask.portionsUnit', { count: portions }) },
      to: (value) => change({ portions: Math.round(value) }),
    },
    {
      name: t('whatIf.ask.power'),
      ...{ value: powerW / 1000, ...POWER_KW, step: 0.5, unit: t('whatIf.ask.powerUnit') },
      to: (value) => change({ powerW: value * 1000 }),
    },
    {
      name: t('whatIf.ask.riceTemp'),
      ...{
        value: shown(riceTempC),
        least: shown(0),
        most: shown(40),
        step: readsIn === 'F' ? 4 : 2,
        unit: `°${readsIn}`,
      },
      to: (value) => change({ riceTempC: Math.round(tempOf(value) * 10) / 10 }),
    },
    {
      name: t('whatIf.ask.water'),
      ...{ value: Math.round(riceWaterFraction * 100), least: 50, most: 74, unit: t('whatIf.ask.waterUnit') },
      to: (value) => change({ riceWaterFraction: value / 100 }),
    },
    {
      name: t('whatIf.ask.lumps'),
      ...{ value: riceLumpMm, least: 0, most: 40, step: 5, unit: t('whatIf.ask.lumpsUnit') },
      to: (value) => change({ riceLumpMm: value }),
    },
    ...(hasSauce
      ? [
          {
            name: t('whatIf.ask.sauce'),
            ...{ value: sauceFactor, least: 0.2, most: 4, ...times },
            to: (value: number) => change({ sauceFactor: value }),
          },
        ]
      : []),
    ...(hasCut
      ? [
          {
            name: t('whatIf.ask.cut'),
            ...{ value: cutFactor, least: 0.4, most: 3, ...times },
            to: (value: number) => change({ cutFactor: value }),
          },
        ]
      : []),
  ]
}

/** What may be wondered about, each by two targets, the arrow keys or typed. */
export function Wonder({ dish, wondered, change, reset }: Props) {
  const t = useWords('book')
  const asked = useAsked({ dish, wondered, change })
  const hasEgg = dish.components.some(({ role }) => role === 'egg')
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-x-5 gap-y-2">
        {asked.map(({ to, ...dial }) => (
          <View key={dial.name} className="w-full gap-1 md:w-[236px]">
            <Text tone="ash">{dial.name}</Text>
            <Dial {...dial} lessLabel={t('whatIf.ask.less')} moreLabel={t('whatIf.ask.more')} onChange={to} />
          </View>
        ))}
      </View>
      {hasEgg && (
        <View>
          <Text tone="ash">{t('whatIf.ask.egg')}</Text>
          <OneOf
            name={t('whatIf.ask.egg')}
            of={[null, ...SCHOOLS.egg]}
            chosen={wondered.egg}
            words={(one) => (one === null ? t('whatIf.ask.eggDish') : t(`schools.values.egg.${one}.name`))}
            onChoose={(one) => change({ egg: one })}
          />
        </View>
      )}
      <Button size="body" label={t('whatIf.ask.reset')} className="w-36" onPress={reset} />
    </View>
  )
}
