import type { Run } from 'contract/run'
import type { RunState } from 'core/wok/run'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { Notice } from '../ui/Notice'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { Bowls } from './Bowls'
import { formatClock, formatLate } from '../words/format'
import { useWords } from '../words/i18n'

type Props = {
  run: Run
  state: RunState
  /** After a rehearsal there is no record, only another one. */
  onRehearsed: (() => void) | null
}

/** The run is over: how it went in two figures, and where to go. */
export function OverPanel({ run, state, onRehearsed }: Props) {
  const t = useWords('wok')
  const router = useRouter()
  const isStopped = state.status === 'stopped'
  const tookS = ((state.endedMs ?? run.firedAtMs) - run.firedAtMs) / 1000
  return (
    <View className="flex-1 justify-between gap-4 p-4">
      <View className="flex-1 items-center justify-center gap-2">
        <View aria-live="assertive">
          <PageHeading size="action" weight="bold" stretch="slim">
            {isStopped ? t('finished.stoppedTitle') : t('finished.title')}
          </PageHeading>
        </View>
        {!isStopped && (
          <Text size="clock" weight="bold" stretch="narrow">
            {formatLate(tookS - run.score.totalS)}
          </Text>
        )}
        <Text size="step" tone="ash" className="text-center">
          {onRehearsed
            ? t('rehearse.over', { time: formatClock(tookS), plan: formatClock(run.score.totalS) })
            : isStopped
              ? t('finished.stoppedDetail')
              : t('finished.detail', { time: formatClock(tookS), plan: formatClock(run.score.totalS) })}
        </Text>
        {!isStopped && !onRehearsed && (
          <View className="w-full max-w-lg pt-3">
            <Bowls run={run} />
          </View>
        )}
        {run.twicePortions > 0 && (
          <Notice kind="conflict" title={t('finished.cookedTwice', { count: run.twicePortions })}>
            {t('finished.cookedTwiceDetail')}
          </Notice>
        )}
      </View>
      <View className="flex-row gap-2.5">
        {onRehearsed ? (
          <Button isTall label={t('rehearse.again')} className="w-36" onPress={onRehearsed} />
        ) : (
          <Button
            isTall
            label={t('finished.record')}
            className="w-36"
            onPress={() => router.push(`/record/${run.id}`)}
          />
        )}
        <Button
          isTall
          kind="main"
          size="lead"
          label={t('finished.toLine')}
          className="flex-1"
          onPress={() => router.push('/line')}
        />
      </View>
    </View>
  )
}
