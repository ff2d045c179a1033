import { arrivalLimits } from 'core/rice/lot/judgeArrival'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { useKitchen } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Notice } from '../ui/Notice'
import { Loading } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { formatDay, formatTemp } from '../words/format'
import { useWords } from '../words/i18n'
import { ArrivalForm } from './arrival/ArrivalForm'
import { useArrival } from './arrival/useArrival'
import { useRiceHouse } from './useLots'

export function AddRiceScreen() {
  const t = useWords('rice')
  const kitchen = useKitchen().data
  const house = useRiceHouse().data
  if (!kitchen || !house) {
    return (
      <Frame stage="rice">
        <Loading what={t('loading')} />
      </Frame>
    )
  }
  return <AddRice kitchen={kitchen} house={house} />
}

/** Rice that came cooked: its age, weight and temperature are asked for before it may stand on the shelf. */
function AddRice({ kitchen, house }: { kitchen: Kitchen; house: RiceHouse }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const router = useRouter()
  const isWide = useIsWide()
  const arrival = useArrival(kitchen, house)
  const { verdict, massG } = arrival
  const refusal = useRefusal(arrival, kitchen)
  const missing = verdict.kind === 'asking' ? t(verdict.missing === 'age' ? 'add.askAge' : 'add.askTemp') : undefined
  const detail =
    verdict.kind === 'cold'
      ? t('add.takeDetail', { day: formatDay(verdict.useByMs, kitchen.timeZone) })
      : verdict.kind === 'hot'
        ? t('add.hot')
        : missing
  const take = () => {
    const id = arrival.takeIn()
    if (id !== null) router.push(verdict.kind === 'hot' ? `/rice/${id}` : '/rice')
  }
  const button = (
    <Button
      kind="main"
      isTall
      label={t('add.take', { mass: bulk(massG) })}
      detail={detail}
      disabledBecause={refusal ?? missing}
      onPress={take}
    />
  )
  return (
    <Frame stage="rice" bar={button}>
      <View className="border-b border-edge bg-plate px-4 py-2">
        <PageHeading weight="bold">{t('add.title')}</PageHeading>
        <Text size="small" tone="ash" stretch="slim">
          {t('add.detail')}
        </Text>
      </View>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-2xl gap-3 self-center p-4">
          {refusal !== undefined && <Notice kind="hazard" title={refusal} />}
          <ArrivalForm arrival={arrival} kitchen={kitchen} />
          {isWide && button}
          <Text size="small" tone="ash">
            {t('local')}
          </Text>
        </View>
      </ScrollView>
    </Frame>
  )
}

/** Why rice may not be taken in, in a sentence that says what to do. */
function useRefusal({ verdict, read }: ReturnType<typeof useArrival>, kitchen: Kitchen): string | undefined {
  const t = useWords('rice')
  if (verdict.kind !== 'refused') return undefined
  switch (verdict.why) {
    case 'ageUnknown':
      return t('add.ageUnknownDetail')
    case 'reheated':
      return t('add.isReheated')
    case 'cookedLater':
    case 'tooOld':
      return t('add.tooOld')
    case 'between': {
      const { cold, hot } = arrivalLimits(kitchen.ruleSet)
      const inUnit = (temp: Parameters<typeof formatTemp>[0]) => formatTemp(temp, kitchen.readsIn)
      return t('add.between', { temp: read ? inUnit(read) : '', cold: inUnit(cold), start: inUnit(hot) })
    }
  }
}
