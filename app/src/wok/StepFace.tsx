import type { Run } from 'contract/run'
import { afterNo } from 'core/wok/afterNo'
import { View } from 'react-native'
import { useMeasureWords } from '../ui/measureWords'
import { Notice } from '../ui/Notice'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { Countdown } from './Countdown'
import type { RunStep, StepWords } from './stepWords'
import { useMassWords } from '../setup/useMassWords'

type StepFaceProps = {
  run: Run
  step: RunStep
  words: StepWords
  dueMs: number
  isWaiting: boolean
  /** So often this check was answered with no. */
  noes: number
  lotName: string | null
  isWide: boolean
}

/** What to do now, how much of it, until when and by which sign: read in one second at arm's length. */
export function StepFace({ run, step, words, dueMs, isWaiting, noes, lotName, isWide }: StepFaceProps) {
  const t = useWords('wok')
  return (
    <View className={`min-w-0 flex-1 pt-3 ${isWide ? 'px-6' : 'px-2'}`}>
      {run.allergies.length > 0 && <AllergyLine allergies={run.allergies} />}
      <HeatChip heat={step.heat} />
      <View aria-live="assertive">
        <PageHeading size={titleSize(words.title, isWide)} weight="bold" stretch="narrow" className="mt-2">
          {words.title}
        </PageHeading>
      </View>
      <Amounts step={step} lotName={lotName} />
      <Text size="step" className="mt-1" stretch="slim">
        {words.check ?? words.how}
      </Text>
      <Countdown untilMs={dueMs} mayPass size={isWide ? 'clockWide' : 'clock'} className={isWide ? 'mt-4' : 'mt-2'} />
      {step.check && noes > 0 ? (
        <Notice kind="conflict" isSmall title={t(`afterNo.${afterNo(step.check.food, noes)}`)} />
      ) : (
        isWaiting && <Notice kind="conflict" isSmall title={t('waits')} />
      )}
      <View className="mt-2 border-t border-edge pt-2">
        <Text tone="ash">{t('readyWhen')}</Text>
        <Text size="step" stretch="slim">
          {words.cue}
        </Text>
        {!isWide && (
          <Text tone="ash" className="mt-1" stretch="slim">
            {words.reason}
          </Text>
        )}
        {step.check && (
          <Text tone="ash" className="mt-1" stretch="slim">
            {t('checkSource', { source: step.check.limit.source })}
          </Text>
        )}
      </View>
      {words.cautions.length > 0 && (
        <View className="mt-2 gap-1">
          {words.cautions.slice(0, isWide ? 3 : 1).map((caution) => (
            <Notice key={caution} kind="hazard" isSmall title={caution} />
          ))}
        </View>
      )}
    </View>
  )
}

function titleSize(title: string, isWide: boolean) {
  if (isWide) return title.length > 22 ? 'figure' : 'action'
  return title.length <= 9 ? 'action' : title.length <= 24 ? 'figure' : 'amount'
}

function AllergyLine({ allergies }: { allergies: Run['allergies'] }) {
  const t = useWords('line')
  const name = useWords('ui')
  const list = allergies.map((one) => name(`allergens.${one}`)).join(', ')
  return (
    <View className="mb-2">
      <Notice kind="allergy" isSmall title={t('washFor', { allergen: list })} />
    </View>
  )
}

export function HeatChip({ heat }: { heat: RunStep['heat'] }) {
  const t = useWords('ui')
  return (
    <View className="flex-row items-center gap-2 self-start rounded bg-channel px-2 py-1">
      <View className="h-5 w-7 items-center justify-center border border-edge">
        <View className={`h-4 ${CHIP[heat]}`} />
      </View>
      <Text weight="bold" tone="channel">
        {t(`heat.${heat}`)}
      </Text>
    </View>
  )
}

const CHIP = {
  off: 'w-0.5 bg-ember-off',
  low: 'w-1.5 bg-ember-low',
  medium: 'w-3 bg-ember-medium',
  high: 'w-[18px] bg-ember-high',
  full: 'w-[25px] bg-ember-full',
} as const

const MAX_LINES = 3

function Amounts({ step, lotName }: { step: RunStep; lotName: string | null }) {
  const { mass } = useMassWords()
  const measureWords = useMeasureWords()
  const entries = step.entries
  const isSingle = entries.length === 1
  if (entries.length === 0) return null
  return (
    <View className="mt-1">
      {entries.slice(0, MAX_LINES + 1).map((entry) => {
        const measure = entry.motion === 'in' || entry.motion === 'plate' ? measureWords(entry.measure) : null
        const note = entry.role === 'rice' ? lotName : measure
        return (
          <View key={entry.componentId} className="flex-row flex-wrap items-baseline gap-x-2">
            <Text size={isSingle ? 'amount' : 'title'} weight="bold" stretch="narrow">
              {mass(entry.massG)}
            </Text>
            {!isSingle && (
              <Text size="step" stretch="narrow">
                {entry.name}
              </Text>
            )}
            {note !== null && (
              <Text size={isSingle ? 'step' : 'body'} tone={isSingle ? 'rice' : 'ash'} stretch="narrow">
                {note}
              </Text>
            )}
          </View>
        )
      })}
    </View>
  )
}
