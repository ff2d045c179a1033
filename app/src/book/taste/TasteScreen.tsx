import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { largestCap } from 'core/line/station'
import { VERDICTS, type Strength, type Verdict } from 'core/book/taste/correct'
import type { Style } from 'core/book/balance/style'
import { useMemo, useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { Frame } from '../../ui/Frame'
import { Empty, Loading, Problem } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'
import { useDishes } from '../useDishes'
import { useShelf, useStyles, type Shelf } from '../useShelf'
import { useToday } from '../useToday'
import { Answer } from './Answer'
import { correctionFor, itemsAtHand, noteTasting } from './tasting'
import { StrengthChoice, VerdictChoice } from './VerdictChoice'

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
        <Empty isPage title={t('notThere')} detail={t('notThereDetail')} />
      ) : fault ? (
        <Problem error={fault} onRetry={() => [book.refetch(), refetch()]} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function Page({ dish, kitchen, shelf, style }: { dish: Dish; kitchen: Kitchen; shelf: Shelf; style: Style }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const line = useWords('line')
  const day = useToday()
  const cap = Math.max(1, largestCap(kitchen.stations, dish.stationKind))
  const [portions, setPortions] = useState(Math.min(2, cap))
  const [verdict, setVerdict] = useState<Verdict>('bland')
  const [strength, setStrength] = useState<Strength>('weak')
  const items = useMemo(() => itemsAtHand(dish, shelf), [dish, shelf])
  const [absent, setAbsent] = useState<readonly string[]>([])
  const atHand = items.filter((one) => !absent.includes(one.id))
  const taste = { verdict, strength, portions, cap }
  const { correction, massG } = correctionFor({ dish, shelf, style, day, atHand, ...taste })
  const note = (isAdded: boolean) => {
    const added = isAdded && correction.kind === 'add' ? correction.additions : []
    noteTasting({ dish, verdict, strength, added, runId: null })
    const what = added.map((one) => t('taste.addItem', { mass: mass(one.massG), name: one.name })).join(', ')
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
            unit={t('taste.portions', { count: portions, mass: mass(massG) }).replace(/^\d+ /, '')}
            lessLabel={line('add.less')}
            moreLabel={line('add.more')}
            onChange={setPortions}
          />
          <VerdictChoice among={VERDICTS} verdict={verdict} onVerdict={setVerdict} />
          <StrengthChoice strength={strength} onStrength={setStrength} />
          <Answer correction={correction} shelf={shelf} tools={kitchen.tools} />
          <Heading>{t('taste.atHand')}</Heading>
          <View role="group" aria-label={t('taste.atHand')} className="-ml-3 flex-row flex-wrap">
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
