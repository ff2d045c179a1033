import { INSTRUMENTS, type Instrument } from 'core/house/instruments'
import { View } from 'react-native'
import { useMay } from '../../people/me'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { HousePage } from '../house/HousePage'
import { useKitchen } from '../useKitchen'
import { FeedDials } from './FeedDials'
import { ProbeState } from './ProbeState'
import { TryPrinter, TryScale } from './TryIt'
import { useSetInstrument } from './useInstruments'

/** What the kitchen weighs, reads, prints and takes orders with: whether there is one, and a way to try it. */
export function InstrumentsScreen() {
  const t = useWords('setup')
  const { data: kitchen, error, refetch } = useKitchen()
  if (!kitchen)
    return (
      <HousePage title={t('instruments.title')}>
        {error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />}
      </HousePage>
    )
  return (
    <HousePage title={t('instruments.title')}>
      <Text tone="ash">{t('instruments.how')}</Text>
      <Notice kind="hazard" isSmall title={t('instruments.standIn')}>
        {t('instruments.standInHow')}
      </Notice>
      {INSTRUMENTS.map((one) => (
        <InstrumentSection key={one} instrument={one} has={kitchen.instruments.includes(one)} />
      ))}
    </HousePage>
  )
}

function InstrumentSection({ instrument, has }: { instrument: Instrument; has: boolean }) {
  const t = useWords('setup')
  const name = t(`instruments.names.${instrument}`)
  return (
    <View className="gap-2 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {name}
      </Text>
      <Text tone="ash">{t(`instruments.does.${instrument}`)}</Text>
      <IsThere instrument={instrument} has={has} name={name} />
      {has && <InUse instrument={instrument} />}
    </View>
  )
}

function IsThere({ instrument, has, name }: { instrument: Instrument; has: boolean; name: string }) {
  const t = useWords('setup')
  const mayChange = useMay('arrange')
  const set = useSetInstrument()
  const problem = useProblemSentence(set.error)
  if (!mayChange) return <Text>{`${t(has ? 'instruments.has' : 'instruments.hasNot')} (${t('house.mayNot')})`}</Text>
  const choose = (wanted: boolean) => {
    if (wanted === has || set.isPending) return
    set.mutate(
      { instrument, has: wanted },
      {
        onSuccess: () =>
          toast(t(`instruments.changed.${wanted ? 'on' : 'off'}`, { name }), () =>
            set.mutate({ instrument, has: !wanted }),
          ),
      },
    )
  }
  return (
    <>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <View role="radiogroup" aria-label={name} className="-ml-3 flex-row flex-wrap">
        <Choice role="radio" label={t('instruments.has')} isChosen={has} onChoose={() => choose(true)} />
        <Choice role="radio" label={t('instruments.hasNot')} isChosen={!has} onChoose={() => choose(false)} />
      </View>
    </>
  )
}

/** What an instrument is doing now, and a way to see that it answers. */
function InUse({ instrument }: { instrument: Instrument }) {
  const t = useWords('setup')
  switch (instrument) {
    case 'scale':
      return <TryScale />
    case 'probe':
      return <ProbeState />
    case 'surface':
      return <Text>{t('instruments.surfaceUse')}</Text>
    case 'printer':
      return <TryPrinter />
    case 'feed':
      return <FeedDials />
  }
}
