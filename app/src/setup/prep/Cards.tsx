import type { CardRow } from 'contract/mise/cards'
import type { MisePolicy, Step } from 'contract/mise/house'
import { useState } from 'react'
import { View } from 'react-native'
import type { z } from 'zod'
import { useMiseWords } from '../../mise/miseWords'
import { Button } from '../../ui/Button'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { capital, formatCount } from '../../words/format'
import { useWords } from '../../words/i18n'
import { CardSheet } from './CardSheet'
import { useCards } from './usePrep'
import { bulkUnitG, bulkUnitOf } from 'core/measure/scaleUnit'
import { useMassWords } from '../useMassWords'

const MIN_S = 60

/** How everything that hands prepare is made, a line each. */
export function Cards({ policy, mayChange }: { policy: MisePolicy; mayChange: boolean }) {
  const t = useWords('setup')
  const cards = useCards()
  const say = useStepWords()
  const [open, setOpen] = useState<CardRow | null>(null)
  const about = (card: CardRow) => `${t(card.isOwn ? 'prep.own' : 'prep.usual')}: ${card.steps.map(say).join(', ')}`
  return (
    <View className="gap-1">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('prep.cards')}
      </Text>
      <Text tone="ash">{t('prep.cardsHow')}</Text>
      {!cards.data &&
        (cards.error ? (
          <Problem error={cards.error} onRetry={() => void cards.refetch()} />
        ) : (
          <Loading what={t('loading')} />
        ))}
      {cards.data?.cards.length === 0 && <Text>{t('prep.noCards')}</Text>}
      <View role="list" className="gap-1">
        {cards.data?.cards.map((card) => (
          <View key={card.itemId} role="listitem">
            <Button
              size="body"
              label={[capital(card.name), card.form].filter(Boolean).join(', ')}
              detail={about(card)}
              disabledBecause={mayChange ? undefined : about(card)}
              onPress={() => setOpen(card)}
            />
          </View>
        ))}
      </View>
      {open && <CardSheet key={open.itemId} card={open} policy={policy} onClose={() => setOpen(null)} />}
    </View>
  )
}

/** A step in a few words: "Thaw 2 min, then 19 h 00". */
function useStepWords() {
  const { weighsIn } = useMassWords()
  const t = useWords('setup')
  const mise = useWords('mise')
  const { span } = useMiseWords(undefined)
  return ({ kind, handsOnS, handsOnSPerKg, waitS }: z.infer<typeof Step>): string => {
    const minutes = (s: number) => formatCount(Math.round(s / MIN_S))
    const min = minutes(handsOnS)
    const each = minutes((handsOnSPerKg * bulkUnitG(weighsIn)) / bulkUnitG('g'))
    const hands =
      handsOnSPerKg > 0
        ? t('prep.steps.handsPerBulk', { min, each, unit: bulkUnitOf(weighsIn) })
        : t('prep.steps.hands', { min })
    const after = waitS > 0 ? t('prep.steps.wait', { wait: span(waitS) }) : ''
    return t('prep.steps.about', { verb: mise(`verbs.${kind}`), hands }) + after
  }
}
