import type { Run } from 'contract/run'
import ChevronRight from 'lucide-react-native/icons/chevron-right'
import { forgettable, type MayStillGoIn } from 'core/wok/forgot'
import { projectedStartsMs } from 'core/wok/projectedStarts'
import { TROUBLE_DELAY_S } from 'core/wok/runEvent'
import { useState } from 'react'
import { Pressable, ScrollView, View } from 'react-native'
import { Button } from '../ui/Button'
import { HoldButton } from '../ui/HoldButton'
import { Choice } from '../ui/Choice'
import { Icon, Triangle } from '../ui/icons'
import { Notice } from '../ui/Notice'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { capital, formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import type { RunStep, StepWords } from './stepWords'
import { TasteTrouble } from './TasteTrouble'
import { RanOut } from './RanOut'
import { FlameDied, TurnFlame } from './TroubleMore'
import type { Cook } from './useCook'
import { useMassWords } from '../setup/useMassWords'

type Props = {
  run: Run
  cook: Cook
  wordsOf: (step: RunStep) => StepWords
  /** A rehearsal has nothing to taste, and keeps nothing. */
  isRehearsal: boolean
  onClose: () => void
}
const REMEDIES = ['burning', 'tooWet', 'sticking'] as const

/** What to do about it stands here without a second tap; a tap notes it and gives the step the time it needs. */
export function TroubleList({ run, cook, wordsOf, isRehearsal, onClose }: Props) {
  const t = useWords('wok')
  const next = cook.state.steps[cook.state.stepIndex + 1]
  const dueS = (cook.state.dueMs - run.firedAtMs) / 1000
  const note = (trouble: (typeof REMEDIES)[number]) => {
    const { eventId, addedS } = cook.trouble(trouble)
    toast(t('troubles.logged', { trouble: t(`troubles.${trouble}`), n: addedS }), () => cook.undo(eventId))
    onClose()
  }
  return (
    <ScrollView tabIndex={0} className="min-w-0 flex-1 px-3 pt-1">
      <PageHeading tone="ash" className="py-1">
        {t('troubles.title', { dish: run.dishName })}
      </PageHeading>
      {REMEDIES.map((trouble) => (
        <Pressable
          key={trouble}
          role="button"
          onPress={() => note(trouble)}
          className="ring-focus min-h-14 border-b border-edge py-2 active:bg-plate"
        >
          <View className="flex-row items-center justify-between">
            <Text size="amount" weight="bold" stretch="slim">
              {t(`troubles.${trouble}`)}
            </Text>
            <Icon as={ChevronRight} sizePx={24} />
          </View>
          <Text stretch="slim">{t(`troubles.${trouble}Do`)}</Text>
          {next && (
            <Text tone="ash" stretch="slim">
              {t('troubles.adds', {
                n: TROUBLE_DELAY_S[trouble],
                what: wordsOf(next).title,
                time: formatClock(dueS + TROUBLE_DELAY_S[trouble]),
              })}
            </Text>
          )}
        </Pressable>
      ))}
      {!isRehearsal && <TasteTrouble run={run} onClose={onClose} />}
      <Forgot run={run} cook={cook} onClose={onClose} />
      <RanOut run={run} cook={cook} onClose={onClose} />
      <TurnFlame cook={cook} onClose={onClose} />
      <FlameDied run={run} cook={cook} onClose={onClose} />
      <Choice
        role="checkbox"
        label={t('handsFreeSwitch')}
        isChosen={cook.state.handsFree}
        onChoose={() => cook.setHandsFree(!cook.state.handsFree)}
        className="self-start px-0"
      />
    </ScrollView>
  )
}

function Forgot({ run, cook, onClose }: Pick<Props, 'run' | 'cook' | 'onClose'>) {
  const t = useWords('wok')
  const items = forgettable(cook.state, cook.state.stepIndex)
  const spans = projectedStartsMs(run, cook.state, cook.nowMs)
  const untilS = (stepId: string | null) => {
    const span = spans.find((one) => one.stepId === stepId)
    return span ? (span.startMs - run.firedAtMs) / 1000 : null
  }
  return (
    <View className="py-2">
      <Text size="amount" weight="bold" stretch="slim">
        {t('troubles.forgot')}
      </Text>
      {items.length === 0 && <Text tone="ash">{t('troubles.forgotNone')}</Text>}
      <View className="flex-row flex-wrap gap-x-3">
        {items.map((item) => (
          <ForgotItem
            key={item.componentId}
            item={item}
            untilS={untilS(item.untilStepId)}
            onForgot={() => {
              const { eventId, addedS } = cook.forgot(item.componentId)
              const said = item.isRaw
                ? t('troubles.forgotRawLogged', { name: capital(item.name) })
                : t('troubles.forgotLogged', { name: capital(item.name), n: addedS })
              toast(said, () => cook.undo(eventId))
              onClose()
            }}
          />
        ))}
      </View>
    </View>
  )
}

type ForgotItemProps = { item: MayStillGoIn; untilS: number | null; onForgot: () => void }

/** What may still go in is a button; once its time is over only the way out stands there. */
function ForgotItem({ item, untilS, onForgot }: ForgotItemProps) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const name = (
    <Text size="step" weight="semi" stretch="narrow">
      {t('troubles.forgotItem', { name: item.name, mass: mass(item.massG) })}
    </Text>
  )
  if (item.untilStepId === null)
    return (
      <View className="min-h-14 w-full justify-center border-b border-edge">
        {name}
        <Text tone="ash" stretch="slim">
          {t(item.isRaw ? 'troubles.forgotRawOver' : 'troubles.forgotOver')}
        </Text>
      </View>
    )
  return (
    <Pressable
      role="button"
      className="ring-focus min-h-14 w-[47%] justify-center border-b border-edge active:bg-plate"
      onPress={onForgot}
    >
      {name}
      {untilS !== null && (
        <Text tone="ash" stretch="narrow">
          {t(item.isRaw ? 'troubles.forgotRawUntil' : 'troubles.forgotUntil', { time: formatClock(untilS) })}
        </Text>
      )}
    </Pressable>
  )
}

/** The bar while in trouble: stop is held, going on logs nothing, and what to do when somebody is hurt or it burns. */
export function TroubleBar({
  cook,
  onClose,
  onStopped,
}: {
  cook: Cook
  onClose: () => void
  onStopped: (eventId: string) => void
}) {
  const t = useWords('wok')
  const [isHurt, setIsHurt] = useState(false)
  if (isHurt) {
    return (
      <View className="gap-2">
        <Notice kind="hazard" title={t('troubles.hurtTitle')}>
          <Text tone="inverse" stretch="slim">
            {t('troubles.hurtFire')}
          </Text>
          <Text tone="inverse" stretch="slim">
            {t('troubles.hurtBurn')}
          </Text>
          <Text tone="inverse" stretch="slim">
            {t('troubles.hurtLocal')}
          </Text>
        </Notice>
        <Button label={t('troubles.hurtGoOn')} onPress={onClose} />
      </View>
    )
  }
  return (
    <View className="flex-row gap-2.5">
      <HoldButton
        label={t('troubles.stop')}
        detail={t('troubles.stopDetail')}
        icon={<Triangle sizePx={24} />}
        isTall
        className="w-24"
        onHeld={() => onStopped(cook.stop())}
      />
      <Button
        kind="main"
        isTall
        label={t('troubles.goOn')}
        detail={t('troubles.goOnDetail')}
        className="flex-1"
        onPress={onClose}
      />
      <Button
        kind="inverse"
        isTall
        label={t('troubles.hurt')}
        detail={t('troubles.hurtDetail')}
        className="w-24"
        onPress={() => {
          cook.trouble('hurt')
          setIsHurt(true)
        }}
      />
    </View>
  )
}
