import type { Run } from 'contract/run'
import { runState } from 'core/wok/run'
import { HEAT_LEVELS, type HeatLevel } from 'core/wok/score'
import { Pressable, View } from 'react-native'
import { useKitchen } from '../setup/useKitchen'
import { Choice } from '../ui/Choice'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import type { Cook } from './useCook'
import { useOpenRuns } from './useRuns'

type Props = { run: Run; cook: Cook; onClose: () => void }

/** The flame as it burns now: what the cook turned it to stands until the step ends, and the rest follows. */
export function TurnFlame({ cook, onClose }: Omit<Props, 'run'>) {
  const t = useWords('wok')
  const heat = useWords('ui')
  const turn = (level: HeatLevel) => {
    const eventId = cook.turnFlame(level)
    toast(t('troubles.flameLogged', { heat: heat(`heat.${level}`) }), () => cook.undo(eventId))
    onClose()
  }
  return (
    <View className="border-b border-edge py-2">
      <Text size="amount" weight="bold" stretch="slim">
        {t('troubles.flame')}
      </Text>
      <View role="radiogroup" aria-label={t('troubles.flame')} className="-mx-2 flex-row flex-wrap">
        {HEAT_LEVELS.map((level) => (
          <Choice
            key={level}
            role="radio"
            label={heat(`heat.${level}`)}
            isChosen={cook.step.heat === level}
            onChoose={() => turn(level)}
          />
        ))}
      </View>
    </View>
  )
}

/** The flame died: what to do first, and where the batch can go. */
export function FlameDied({ run, cook, onClose }: Props) {
  const t = useWords('wok')
  const kitchen = useKitchen().data
  const { runs } = useOpenRuns()
  const own = kitchen?.stations.find((one) => one.id === run.stationId)
  const busy = runs.filter((one) => runState(one, one.events, cook.nowMs).endedMs === null).map((one) => one.stationId)
  const free = kitchen?.stations.filter((one) => one.kind === own?.kind && !busy.includes(one.id)) ?? []
  return (
    <Pressable
      role="button"
      className="ring-focus min-h-14 border-b border-edge py-2 active:bg-plate"
      onPress={() => {
        const { eventId } = cook.trouble('flameDied')
        toast(t('troubles.flameDiedLogged'), () => cook.undo(eventId))
        onClose()
      }}
    >
      <Text size="amount" weight="bold" stretch="slim">
        {t('troubles.flameDied')}
      </Text>
      <Text stretch="slim">{t('troubles.flameDiedDo')}</Text>
      <Text tone="ash" stretch="slim">
        {free.length > 0
          ? t('troubles.flameDiedFree', { names: free.map((one) => one.name).join(', ') })
          : t('troubles.flameDiedNone')}
      </Text>
    </Pressable>
  )
}
