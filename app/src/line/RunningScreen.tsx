import { EMPHASES, MOST_PAIRS, type HouseWeights } from 'core/line/plan/wishes'
import { matterOf } from 'core/line/plan/gone'
import { useRouter } from 'expo-router'
import { useMemo } from 'react'
import { ScrollView, View } from 'react-native'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Frame } from '../ui/Frame'
import { OneOf } from '../ui/OneOf'
import { PageHeading } from '../ui/PageHeading'
import { Loading, Problem } from '../ui/states'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { RunningStations } from './RunningStations'
import { sayWish } from './plan/useLineState'
import { useLinePlan, type Line } from './useLinePlan'

/** What the plan goes by: what is 86, which stations cook, how many pairs of hands, and what the house minds. */
export function RunningScreen() {
  const t = useWords('line')
  const router = useRouter()
  const { line, error, refetch } = useLinePlan()
  const back = <Button isTall label={t('running.back')} onPress={() => router.replace('/line')} className="flex-1" />
  return (
    <Frame stage="line" bar={<View className="flex-row">{back}</View>}>
      {!line && (error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />)}
      {line && (
        <ScrollView tabIndex={0} className="min-h-0 flex-1">
          <View className="w-full max-w-3xl gap-5 p-4">
            <PageHeading size="title" weight="bold">
              {t('running.title')}
            </PageHeading>
            <EightySix line={line} />
            <Stations line={line} />
            <Hands line={line} />
            <Components line={line} />
            <House line={line} />
          </View>
        </ScrollView>
      )}
    </Frame>
  )
}

function Part({ title, how, children }: { title: string; how: string; children: React.ReactNode }) {
  return (
    <View className="gap-1">
      <Text role="heading" aria-level={2} size="lead" weight="bold">
        {title}
      </Text>
      <Text tone="ash">{how}</Text>
      {children}
    </View>
  )
}

function EightySix({ line }: { line: Line }) {
  const t = useWords('line')
  const { goneDishes } = line.wishes
  const say = useSay86()
  return (
    <Part title={t('running.eightySix')} how={t('running.eightySixHow')}>
      <View role="group" aria-label={t('running.dishes')} className="-ml-3 flex-row flex-wrap">
        {line.dishes.map((dish) => {
          const isGone = goneDishes.includes(dish.id)
          const put = (gone: boolean) => sayWish({ kind: 'dish', dishId: dish.id, isGone: gone })
          return (
            <Choice
              key={dish.id}
              role="checkbox"
              label={isGone ? t('running.is86', { name: dish.shortName }) : dish.shortName}
              isChosen={isGone}
              onChoose={() => say(dish.shortName, !isGone, put)}
            />
          )
        })}
      </View>
    </Part>
  )
}

/** Says that something is 86 or back, with the way to take it back. */
function useSay86() {
  const t = useWords('line')
  return (name: string, isGone: boolean, put: (isGone: boolean) => void) => {
    put(isGone)
    toast(t(isGone ? 'running.gone' : 'running.back86', { name }), () => put(!isGone))
  }
}

function Components({ line }: { line: Line }) {
  const t = useWords('line')
  const { goneMatters } = line.wishes
  const matters = useMemo(() => mattersOf(line), [line])
  const say = useSay86()
  return (
    <Part title={t('running.components')} how={t('running.componentsHow')}>
      <View role="group" aria-label={t('running.components')} className="-ml-3 flex-row flex-wrap">
        {matters.map(({ id, name }) => {
          const isGone = goneMatters.includes(id)
          const put = (gone: boolean) => sayWish({ kind: 'component', matterId: id, isGone: gone })
          return (
            <Choice
              key={id}
              role="checkbox"
              label={isGone ? t('running.is86', { name }) : name}
              isChosen={isGone}
              onChoose={() => say(name, !isGone, put)}
            />
          )
        })}
      </View>
    </Part>
  )
}

/** Everything that dishes are made of but rice, by name; what is 86 first. */
function mattersOf({ dishes, wishes }: Line): { id: string; name: string }[] {
  const names = new Map(
    dishes.flatMap(({ components }) =>
      components.filter(({ role }) => role !== 'rice').map((one) => [matterOf(one), one.name] as const),
    ),
  )
  const isGone = (id: string) => (wishes.goneMatters.includes(id) ? 0 : 1)
  return [...names]
    .map(([id, name]) => ({ id, name }))
    .sort((a, b) => isGone(a.id) - isGone(b.id) || a.name.localeCompare(b.name))
}

function Stations({ line }: { line: Line }) {
  const t = useWords('line')
  return (
    <Part title={t('running.stations')} how={t('running.stationsHow')}>
      <RunningStations line={line} />
    </Part>
  )
}

function Hands({ line }: { line: Line }) {
  const t = useWords('line')
  const pairs = Array.from({ length: MOST_PAIRS }, (_, i) => i + 1)
  return (
    <Part title={t('running.hands')} how={t(line.wishes.pairs === null ? 'running.handsGuess' : 'running.handsHow')}>
      <OneOf
        name={t('running.hands')}
        of={pairs}
        chosen={line.basis.pairs}
        words={(n) => t('running.pairs', { count: n })}
        onChoose={(n) => sayWish({ kind: 'hands', pairs: n })}
      />
    </Part>
  )
}

const MINDS = ['lateness', 'holds', 'hands'] as const satisfies readonly (keyof HouseWeights)[]

function House({ line }: { line: Line }) {
  const t = useWords('line')
  const { house } = line.wishes
  return (
    <Part title={t('running.house')} how={t('running.houseHow')}>
      {MINDS.map((mind) => (
        <View key={mind} className="gap-0">
          <Text>{t(`running.minds.${mind}`)}</Text>
          <OneOf
            name={t(`running.minds.${mind}`)}
            of={EMPHASES}
            chosen={house[mind]}
            words={(one) => t(`running.emphasis.${one}`)}
            onChoose={(one) => sayWish({ kind: 'weights', ...house, [mind]: one })}
          />
        </View>
      ))}
    </Part>
  )
}
