import type { Run } from 'contract/run'
import type { Strength, Verdict } from 'core/book/taste/correct'
import { largestCap } from 'core/line/station'
import { useState } from 'react'
import { View } from 'react-native'
import { Answer } from '../book/taste/Answer'
import { correctionFor, itemsAtHand, noteTasting } from '../book/taste/tasting'
import { StrengthChoice, VerdictChoice } from '../book/taste/VerdictChoice'
import { useDishes } from '../book/useDishes'
import { useShelf, useStyles } from '../book/useShelf'
import { useToday } from '../book/useToday'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'

type Props = { run: Run; onClose: () => void }

/** What a spoonful may say during a run; wetness has a remedy of its own. */
const TASTED = ['salty', 'bland', 'sharp', 'greasy', 'sweet', 'flat'] as const satisfies readonly Verdict[]

/** A taste in the middle of a run: what mends it of what stands on the rail, noted with the run. */
export function TasteTrouble({ run, onClose }: Props) {
  const t = useWords('wok')
  const [verdict, setVerdict] = useState<(typeof TASTED)[number] | null>(null)
  const [strength, setStrength] = useState<Strength>('weak')
  return (
    <View className="border-b border-edge py-2">
      <Text size="amount" weight="bold" stretch="slim">
        {t('troubles.taste')}
      </Text>
      <VerdictChoice among={TASTED} verdict={verdict} onVerdict={setVerdict} />
      {verdict !== null && (
        <>
          <StrengthChoice strength={strength} onStrength={setStrength} />
          <Mend run={run} verdict={verdict} strength={strength} onClose={onClose} />
        </>
      )}
    </View>
  )
}

/** The answer stands below what was tapped: a wet finger need not scroll for it. */
const bringIntoView = (view: View | null) => {
  if (view instanceof HTMLElement) view.scrollIntoView({ block: 'end' })
}

function Mend({ run, verdict, strength, onClose }: Props & { verdict: Verdict; strength: Strength }) {
  const t = useWords('wok')
  const day = useToday()
  const kitchen = useKitchen().data
  const { shelf } = useShelf()
  const styles = useStyles().data?.styles
  const dish = useDishes().data?.dishes.find((one) => one.id === run.dishId)
  const style = styles?.find((one) => one.id === dish?.style) ?? styles?.[0]
  if (!kitchen || !shelf || !dish || !style) return <Text tone="ash">{t('troubles.tasteWaits')}</Text>
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const cap = Math.max(portions, largestCap(kitchen.stations, dish.stationKind))
  const atHand = itemsAtHand(dish, shelf)
  const { correction } = correctionFor({ dish, shelf, style, day, portions, cap, verdict, strength, atHand })
  const note = (isAdded: boolean) => {
    const added = isAdded && correction.kind === 'add' ? correction.additions : []
    noteTasting({ dish, verdict, strength, added, runId: run.id })
    toast(t('troubles.tasteNoted', { verdict: t(`taste.verdicts.${verdict}`) }))
    onClose()
  }
  return (
    <View ref={bringIntoView} className="gap-2">
      <Answer correction={correction} shelf={shelf} tools={kitchen.tools} />
      <Text size="small" tone="ash">
        {t('troubles.tasteAllergens')}
      </Text>
      <View className="flex-row gap-2">
        {correction.kind === 'add' && (
          <Button kind="main" label={t('taste.added')} className="flex-1" onPress={() => note(true)} />
        )}
        <Button label={t('taste.noted')} className="flex-1" onPress={() => note(false)} />
      </View>
    </View>
  )
}
