import type { Dish } from 'contract/dish'
import { Tasting } from 'contract/book'
import type { Kitchen } from 'contract/kitchen'
import { EventId } from 'contract/ids'
import { largestCap } from 'core/line/planLine'
import { atHandOf } from 'core/book/taste/atHand'
import { correctTaste, VERDICTS, type Correction, type Strength, type Verdict } from 'core/book/taste/correct'
import type { Style } from 'core/book/balance/style'
import { useMemo, useState } from 'react'
import { ScrollView, View } from 'react-native'
import { newId, stampNow } from '../../device/ids'
import { post } from '../../device/outbox'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { Frame } from '../../ui/Frame'
import { Empty, Loading, Problem } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatMassG, formatPercent } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'
import { judgeDish } from '../balance/judge'
import { useDishes } from '../useDishes'
import { useShelf, useStyles, type Shelf } from '../useShelf'
import { useToday } from '../useToday'

/** What of what is at hand mends a batch after the taste, in grams. */
export function TasteScreen({ id }: { id: string }) {
  const t = useWords('book')
  const book = useDishes()
  const kitchen = useKitchen().data
  const { shelf, error, refetch } = useShelf()
  const styles = useStyles().data?.styles
  const dish = book.data?.dishes.find((one) => one.id === id)
  const style = styles?.find((one) => one.id === dish?.style) ?? styles?.[0]
  if (dish && kitchen && shelf && style) return <Page dish={dish} kitchen={kitchen} shelf={shelf} style={style} />
  const fault = book.error ?? error
  return (
    <Frame stage="book">
      {book.data && !dish ? (
        <Empty title={t('notThere')} detail={t('notThereDetail')} />
      ) : fault ? (
        <Problem error={fault} onRetry={() => [book.refetch(), refetch()]} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

/** What stands at every station, whatever the dish: salt, sugar, acid, plain rice, water, glutamate. Common practice. */
const ALWAYS = ['salt-fine', 'sugar-white', 'rice-long-chilled-dry', 'lime-juice', 'water', 'glutamate']
const SEASONS = ['liquidSeasoning', 'drySeasoning', 'paste']
const MAX_AT_HAND = 10

function Page({ dish, kitchen, shelf, style }: { dish: Dish; kitchen: Kitchen; shelf: Shelf; style: Style }) {
  const t = useWords('book')
  const line = useWords('line')
  const day = useToday()
  const cap = Math.max(1, largestCap(kitchen.stations, dish.stationKind))
  const [portions, setPortions] = useState(Math.min(2, cap))
  const [verdict, setVerdict] = useState<Verdict>('bland')
  const [strength, setStrength] = useState<Strength>('weak')
  const items = useMemo(() => itemsAtHand(dish, shelf), [dish, shelf])
  const [absent, setAbsent] = useState<readonly string[]>([])
  const judged = judgeDish(dish.components, dish.portionRiceG, shelf, style, dish.schools.oil, day)
  const { metrics, massG, riceMassG } = judged.balance
  const correction = correctTaste({
    massG: massG * portions,
    riceMassG: riceMassG * portions,
    saltFraction: metrics.saltFraction,
    sugarFraction: metrics.sugarFraction,
    fatFraction: metrics.fatFraction,
    freeLiquidFraction: metrics.freeLiquidFraction ?? 0,
    verdict,
    strength,
    atHand: items.filter((one) => !absent.includes(one.id)),
    bands: style.bands,
    mostMassG: massG * Math.max(cap, portions) * ROOM,
  })
  const note = (isAdded: boolean) => {
    const added = isAdded && correction.kind === 'add' ? correction.additions : []
    const { atMs } = stampNow()
    const tasting = Tasting.parse({
      id: EventId.parse(newId()),
      dishId: dish.id,
      dishVersion: dish.version,
      verdict,
      strength,
      atMs,
      added: added.map(({ id, name, massG: addedG }) => ({ id, name, massG: addedG })),
    })
    post({ kind: 'tasting', subjectId: dish.id, path: '/tastings', body: tasting })
    const what = added.map((one) => t('taste.addItem', { mass: formatMassG(one.massG), name: one.name })).join(', ')
    const said = t(`taste.verdicts.${verdict}`)
    toast(added.length > 0 ? t('taste.addedToast', { verdict: said, what }) : t('taste.notedToast', { verdict: said }))
  }
  const bar = (
    <View className="flex-1 flex-row gap-2">
      <Button
        kind="main"
        isTall
        label={t('taste.added')}
        className="flex-1"
        disabledBecause={correction.kind === 'add' ? undefined : t('taste.noted')}
        onPress={() => note(true)}
      />
      <Button isTall label={t('taste.noted')} className="flex-1" onPress={() => note(false)} />
    </View>
  )
  return (
    <Frame stage="book" bar={bar}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-3xl gap-2 self-center p-4">
          <PageHeading size="title" weight="bold" stretch="slim">
            {`${t('taste.title')}: ${dish.shortName}`}
          </PageHeading>
          <Dial
            name={t('taste.batch')}
            value={portions}
            least={1}
            most={cap}
            unit={t('taste.portions', { count: portions, mass: formatMassG(massG * portions) }).replace(/^\d+ /, '')}
            lessLabel={line('add.less')}
            moreLabel={line('add.more')}
            onChange={setPortions}
          />
          <Group label={t('taste.says')}>
            {VERDICTS.map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`taste.verdicts.${one}`)}
                isChosen={one === verdict}
                onChoose={() => setVerdict(one)}
              />
            ))}
          </Group>
          <Group label={t('taste.strength.weak')}>
            {(['weak', 'strong'] as const).map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`taste.strength.${one}`)}
                isChosen={one === strength}
                onChoose={() => setStrength(one)}
              />
            ))}
          </Group>
          <Answer correction={correction} />
          <Heading>{t('taste.atHand')}</Heading>
          <View role="group" aria-label={t('taste.atHand')} className="-mx-2 flex-row flex-wrap">
            {items.map((one) => (
              <Choice
                key={one.id}
                role="checkbox"
                label={one.name}
                isChosen={!absent.includes(one.id)}
                onChoose={() =>
                  setAbsent((before) =>
                    before.includes(one.id) ? before.filter((id) => id !== one.id) : [...before, one.id],
                  )
                }
              />
            ))}
          </View>
          <View className="hidden md:flex">{bar}</View>
        </View>
      </ScrollView>
    </Frame>
  )
}

/** A wok still tosses this much more than its largest batch. House figure. */
const ROOM = 1.15

function itemsAtHand(dish: Dish, shelf: Shelf) {
  const own = dish.components
    .filter((one) => SEASONS.includes(one.role))
    .flatMap((one) => {
      const source = shelf.lookup(one)
      return source ? [{ ...atHandOf(source), name: one.name }] : []
    })
  const always = ALWAYS.flatMap((id) => {
    const row = shelf.rows.find((one) => one.id === id)
    return row ? [{ ...atHandOf(row), name: row.aliases[0] ?? row.name }] : []
  })
  const known = new Set<string>()
  return [...own, ...always].filter((one) => !known.has(one.id) && known.add(one.id)).slice(0, MAX_AT_HAND)
}

function Group({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <View role="radiogroup" aria-label={label} className="-mx-2 flex-row flex-wrap">
      {children}
    </View>
  )
}

/** The answer in figures that are read at arm's length, and why not the obvious one. */
function Answer({ correction }: { correction: Correction }) {
  const t = useWords('book')
  const { after } = correction
  if (correction.kind === 'nothing-helps')
    return (
      <View aria-live="polite" className="min-h-[150px] justify-center rounded-lg border border-line p-4">
        <Text size="title" weight="bold">
          {t(`taste.nothing.${correction.why}`)}
        </Text>
      </View>
    )
  const rejected = correction.rejected[0]
  return (
    <View aria-live="polite" className="min-h-[150px] gap-1 rounded-lg border border-line p-4">
      {correction.additions.map((one) => (
        <View key={one.id} className="flex-row items-baseline gap-3">
          <Text size="figure" weight="bold" stretch="narrow">
            {formatMassG(one.massG)}
          </Text>
          <Text size="lead" weight="bold" stretch="slim" className="min-w-0 flex-1">
            {one.name}
          </Text>
        </View>
      ))}
      <Text tone="ash">
        {t('taste.then', {
          salt: formatPercent(after.saltFraction),
          sweet: formatPercent(after.sugarFraction),
          liquid: formatPercent(after.freeLiquidFraction),
        })}
      </Text>
      {rejected && (
        <Text>
          {t('taste.instead', {
            mass: formatMassG(rejected.addition.massG),
            name: rejected.addition.name,
            why: t(`taste.why.${rejected.why}`),
          })}
        </Text>
      )}
      <Text size="small" tone="ash">
        {t('taste.hotAgain')}
      </Text>
    </View>
  )
}
