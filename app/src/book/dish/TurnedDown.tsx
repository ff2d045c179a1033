import { SCHOOLS, type SchoolName } from 'core/book/schools'
import type { BatchScore } from 'core/line/batchScore'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useSchoolWords } from '../editor/useSchoolWords'

type Scored = Extract<BatchScore, { kind: 'score' }>

/** What the engine looked at besides, and why it was not taken. */
export function TurnedDown({ answer }: { answer: Scored }) {
  const t = useWords('book')
  const words = useSchoolWords()
  const { rejected, runnerUp } = answer.derived
  if (rejected.length === 0 && !runnerUp) return null
  const way = runnerUp
    ? otherSchools(answer, runnerUp.choice)
        .map((school) => `${words.school(school)}: ${words.value(school, runnerUp.choice[school]).name}`)
        .join(', ')
    : ''
  return (
    <View className="gap-0.5">
      <Text role="heading" aria-level={3} weight="bold">
        {t('score.turnedDown')}
      </Text>
      {runnerUp && (
        <Text size="small" stretch="slim">
          {t('score.runnerUp', {
            time: formatClock(runnerUp.totalS),
            cost: runnerUp.cost,
            way: way || t('score.sameWay'),
          })}
        </Text>
      )}
      {rejected.map(({ why, count }) => (
        <Text key={why} size="small" tone="ash" stretch="slim">
          {t('score.rejected', { count, why: t(`score.faults.${why}`) })}
        </Text>
      ))}
    </View>
  )
}

/** Where another way differs from the one that was taken: its schools. */
const otherSchools = ({ score }: Scored, other: Readonly<Record<string, string>>): SchoolName[] =>
  (Object.keys(SCHOOLS) as SchoolName[]).filter((school) => score.basis?.choice[school] !== other[school])
