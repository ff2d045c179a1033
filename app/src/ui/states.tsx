import type { ProblemDetails } from 'contract/problem'
import { ALLERGENS } from 'core/book/ingredient'
import { View } from 'react-native'
import { NoAnswer, Refused } from '../device/http'
import { formatSpan } from '../words/format'
import { useWords } from '../words/i18n'
import { Button } from './Button'
import { CutThread, Diamond, EmptyBowl } from './icons'
import { PageHeading } from './PageHeading'
import { Text } from './Text'

const NO_VALUES = {
  what: '',
  dish: '',
  modifier: '',
  allergen: '',
  components: '',
  ticket: '',
  station: '',
  cap: '',
  portions: '',
  ahead: '',
  behind: '',
  columns: '',
  name: '',
  item: '',
  list: '',
  path: '',
  lines: '',
  most: '',
  line: '',
  lot: '',
  depthCm: '',
  leastCm: '',
  mostCm: '',
  tempC: '',
  why: '',
  types: '',
  host: '',
  seconds: '',
  runs: '',
}

export function Loading({ what }: { what: string }) {
  return (
    <View role="status" className="flex-1 items-center justify-center gap-3 p-6">
      <View className="h-12 w-8 items-center justify-center bg-channel">
        <View className="h-4 w-3 bg-ember-off" />
      </View>
      <Text tone="ash">{what}</Text>
    </View>
  )
}

/** What says that there is nothing; where that is all there is on a page (`isPage`), it is the page's heading and its title. */
export function Empty({ title, detail, isPage = false }: { title: string; detail: string; isPage?: boolean }) {
  const Title = isPage ? PageHeading : Text
  return (
    <View className="flex-1 items-center justify-center gap-3 p-6">
      <EmptyBowl sizePx={44} />
      <Title size="title" weight="bold" className="text-center">
        {title}
      </Title>
      <Text tone="ash" className="text-center">
        {detail}
      </Text>
    </View>
  )
}

/** What went wrong in words that say what to do, and the way to try again. */
export function Problem({ error, onRetry }: { error: Error; onRetry?: () => void }) {
  const t = useWords('ui')
  const isGone = error instanceof NoAnswer
  return (
    <View role="alert" className="flex-1 items-center justify-center gap-3 p-6">
      {isGone ? <CutThread sizePx={40} /> : <Diamond sizePx={32} />}
      <Text size="title" weight="bold" className="text-center">
        {isGone ? t('problem.noAnswerTitle') : t('problem.title')}
      </Text>
      <Text tone="ash" className="text-center">
        {useProblemSentence(error)}
      </Text>
      {onRetry && <Button label={t('problem.retry')} onPress={onRetry} className="w-48" />}
    </View>
  )
}

/** One sentence for a refusal, by the server's code. */
export function useRefusal(): (refusal: ProblemDetails) => string {
  const t = useWords('ui')
  return ({ code, values }) => {
    const allergen = ALLERGENS.find((one) => one === values['allergen'])
    return t(`problem.codes.${code}`, {
      ...NO_VALUES,
      ...values,
      ...(allergen && { allergen: t(`allergens.${allergen}`) }),
      ...spans(values),
    })
  }
}

/** How far a time was off, as people say it. */
const spans = (values: ProblemDetails['values']) =>
  Object.fromEntries(
    (['ahead', 'behind'] as const)
      .filter((name) => `${name}S` in values)
      .map((name) => [name, formatSpan(Number(values[`${name}S`]))]),
  )

/** One sentence for any failure. */
export function useProblemSentence(error: Error | null): string {
  const t = useWords('ui')
  const refusal = useRefusal()
  if (!error) return ''
  if (error instanceof Refused) return refusal(error.problem)
  return error instanceof NoAnswer ? t('problem.noAnswer') : t('problem.unknown')
}
