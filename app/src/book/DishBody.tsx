import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { largestCap } from 'core/line/station'
import { repeatedVerdict, proposalFor } from 'core/book/taste/learn'
import { useRouter } from 'expo-router'
import { useMemo } from 'react'
import { ScrollView, View } from 'react-native'
import { download } from '../device/download'
import { Button } from '../ui/Button'
import { Dial } from '../ui/Dial'
import { Notice } from '../ui/Notice'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { LearnedSection } from '../wok/learned/LearnedSection'
import { useWords } from '../words/i18n'
import { Heading } from './BookParts'
import { BalancePanel } from './balance/BalancePanel'
import { AllergenNotice } from './dish/AllergenNotice'
import { DishLines } from './dish/DishLines'
import { DishScore } from './dish/DishScore'
import { judgeDish } from './balance/judge'
import { MoneyAndFood, RepairLine } from './balance/MoneyAndFood'
import { StandardNotice } from './dish/StandardNotice'
import { Variations } from './dish/Variations'
import { Versions } from './dish/Versions'
import { useTastings, type Shelf } from './useShelf'
import { useToday } from './useToday'
import type { Style } from 'core/book/balance/style'
import { useMassWords } from '../setup/useMassWords'

export type PageProps = { dish: Dish; kitchen: Kitchen; shelf: Shelf; style: Style }

/** What is done with a dish: it is edited, and tasted. */
export function DishActions({ dish }: { dish: Dish }) {
  const t = useWords('book')
  const router = useRouter()
  return (
    <View className="flex-1 flex-row gap-2">
      <Button
        kind="main"
        label={t('dish.edit')}
        className="flex-1"
        onPress={() => router.push(`/book/${dish.id}/edit`)}
      />
      <Button label={t('dish.taste')} className="flex-1" onPress={() => router.push(`/book/${dish.id}/taste`)} />
      <Button label={t('whatIf.open')} className="flex-1" onPress={() => router.push(`/book/${dish.id}/what-if`)} />
    </View>
  )
}

type BodyProps = PageProps & {
  portions: number
  onPortions: (portions: number) => void
  /** Its score stands below; on a wide page it has a pane of its own. */
  hasScore: boolean
  isBeside?: boolean
}

/** A dish as it is written, judged and priced. */
export function DishBody(props: BodyProps) {
  const { dish, kitchen, shelf, style, portions, onPortions, hasScore, isBeside = false } = props
  const t = useWords('book')
  const line = useWords('line')
  const router = useRouter()
  const isWide = useIsWide()
  const day = useToday()
  const cap = Math.max(1, largestCap(kitchen.stations, dish.stationKind))
  const judged = useMemo(
    () => judgeDish(dish.components, dish.portionRiceG, shelf, style, dish.schools.oil, day),
    [dish, shelf, style, day],
  )
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="w-full gap-2 p-4">
        <DishHead {...props} isBeside={isBeside} />
        <View className="flex-row flex-wrap items-end gap-3">
          <View className="w-56">
            <Dial
              name={t('dish.portions')}
              value={portions}
              least={1}
              most={cap}
              unit=""
              lessLabel={line('add.less')}
              moreLabel={line('add.more')}
              onChange={onPortions}
            />
          </View>
          {isWide && (
            <View className="w-72 flex-row">
              <DishActions dish={dish} />
            </View>
          )}
          <Button
            label={t('dish.card')}
            className="min-w-[104px] flex-1 md:max-w-[180px]"
            onPress={() => download(`/api/dishes/${dish.id}/card.pdf?portions=${portions}`, `${dish.id}.pdf`)}
          />
        </View>
        <StandardNotice standard={dish.standard} components={dish.components} saysKept />
        <Repeated dish={dish} judged={judged} />
        <DishLines dish={dish} portions={portions} tools={kitchen.tools} />
        <View className="flex-row items-end justify-between">
          <Heading>{t('dish.balance', { style: style.name })}</Heading>
          <Button size="body" label={t('style.toBands')} className="w-24" onPress={() => router.push('/book/styles')} />
        </View>
        <BalancePanel judged={judged} style={style} />
        <MoneyAndFood
          judged={judged}
          currency={kitchen.currency}
          priceMinor={dish.priceMinor}
          ceilingMinor={dish.costCeilingMinor}
        />
        <RepairLine judged={judged} style={style} />
        <Heading>{t('dish.variations')}</Heading>
        <Variations dish={dish} kitchen={kitchen} shelf={shelf} style={style} day={day} />
        {hasScore && <DishScore dish={dish} portions={portions} kitchen={kitchen} />}
        <LearnedSection kind="dish" id={dish.id} />
        <Heading>{t('dish.versions')}</Heading>
        <Versions dish={dish} timeZone={kitchen.timeZone} />
      </View>
    </ScrollView>
  )
}

function DishHead({ dish, style, isBeside }: PageProps & { isBeside: boolean }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  return (
    <>
      {isBeside ? (
        <Text role="heading" aria-level={2} size="lead" weight="bold" stretch="slim">
          {dish.name}
        </Text>
      ) : (
        <PageHeading size="lead" weight="bold" stretch="slim">
          {dish.name}
        </PageHeading>
      )}
      <Text tone="ash">
        {[style.name, t('version', { n: dish.version }), t('portion', { mass: mass(dish.portionRiceG) })].join(' · ')}
      </Text>
      <AllergenNotice components={dish.components} />
    </>
  )
}

/** Three times the same verdict of this version: what to change. */
function Repeated({ dish, judged }: { dish: Dish; judged: ReturnType<typeof judgeDish> }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const router = useRouter()
  const verdict = repeatedVerdict(useTastings().data?.tastings ?? [], dish.id, dish.version)
  const proposal = verdict && proposalFor(verdict, judged.parts)
  if (!verdict || !proposal) return null
  const words = { name: proposal.name, from: mass(proposal.fromG), to: mass(proposal.toG) }
  return (
    <Notice kind="conflict" isSmall title={t('dish.repeated', { verdict: t(`taste.verdicts.${verdict}`) })}>
      <Button
        kind="inverse"
        size="body"
        label={t('dish.repeatedDo', words)}
        onPress={() => router.push(`/book/${dish.id}/edit?set=${proposal.id}&to=${proposal.toG.toFixed(2)}`)}
      />
    </Notice>
  )
}
