import type { ScaleWeight } from 'contract/devices'
import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { useEmptyScale, useTrialLabel } from './useInstruments'
import { useMassWords } from '../useMassWords'

type TryItProps = { label: string; isBusy: boolean; onPress: () => void; error: Error | null; answer: ReactNode }

/** One tap that shows that an instrument answers, and what it said. */
function TryIt({ label, isBusy, onPress, error, answer }: TryItProps) {
  const problem = useProblemSentence(error)
  return (
    <View className="gap-2">
      <Button size="body" className="md:w-72" label={label} isBusy={isBusy} onPress={onPress} />
      {problem !== '' ? <Notice kind="conflict" isSmall title={problem} /> : <View aria-live="polite">{answer}</View>}
    </View>
  )
}

export function TryScale() {
  const { mass } = useMassWords()
  const t = useWords('setup')
  const { mutate, isPending, error, data } = useEmptyScale()
  const wordsOf = ({ massG, isSettled }: ScaleWeight) =>
    isSettled
      ? t(massG === 0 ? 'instruments.scaleShows' : 'instruments.scaleTared', { mass: mass(massG) })
      : t('instruments.scaleMoves')
  return (
    <TryIt
      label={t('instruments.try.scale')}
      isBusy={isPending}
      onPress={() => mutate()}
      error={error}
      answer={data && <Text>{wordsOf(data)}</Text>}
    />
  )
}

export function TryPrinter() {
  const t = useWords('setup')
  const { mutate, isPending, error, data } = useTrialLabel()
  return (
    <TryIt
      label={t('instruments.try.printer')}
      isBusy={isPending}
      onPress={() => mutate()}
      error={error}
      answer={data && <Text>{t('instruments.printed', { where: data.where })}</Text>}
    />
  )
}
