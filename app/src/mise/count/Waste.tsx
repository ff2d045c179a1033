import type { StockRow } from 'contract/mise/stock'
import { stockG } from 'core/mise/stock/foldStock'
import { WASTE_REASONS, type WasteReason } from 'core/mise/doing/miseEvent'
import { useState } from 'react'
import { View } from 'react-native'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { HoldButton } from '../../ui/HoldButton'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'
import { sayOfMise, undoMise } from '../useMise'

const STEPS = 40
const ROUNDS = [1, 5, 10, 50, 100, 500] as const

/** Thrown away, with the reason: held, not tapped. */
export function Waste({ row, onClose }: { row: StockRow; onClose: () => void }) {
  const t = useWords('mise')
  const thereG = Math.round(stockG(row))
  const first = row.lots[0]
  const [massG, setMassG] = useState(Math.round(first?.leftG ?? thereG))
  const [reason, setReason] = useState<WasteReason>('old')
  const step = ROUNDS.find((one) => one * STEPS >= Math.max(thereG, 40)) ?? 1000
  const throwAway = () => {
    const ids = sayOfMise('stock', { kind: 'wasted', itemId: row.itemId, lotId: first?.id ?? null, massG, reason })
    toast(t('count.wasted', { mass: formatMassG(massG), name: row.name }), () => undoMise('stock', ids))
    onClose()
  }
  return (
    <>
      <Dial
        name={t('count.wasteOf', { name: row.name })}
        value={massG}
        least={0}
        most={Math.max(thereG, massG)}
        step={step}
        unit={t('count.grams')}
        lessLabel={`−${step} ${t('count.grams')}`}
        moreLabel={`+${step} ${t('count.grams')}`}
        onChange={setMassG}
      />
      <Text tone="ash">{t('count.why')}</Text>
      <View role="radiogroup" aria-label={t('count.why')} className="flex-row flex-wrap">
        {WASTE_REASONS.map((one) => (
          <Choice
            key={one}
            role="radio"
            label={t(`count.reasons.${one}`)}
            isChosen={one === reason}
            onChoose={() => setReason(one)}
          />
        ))}
      </View>
      <HoldButton isTall label={t('count.waste')} detail={formatMassG(massG)} onHeld={throwAway} />
    </>
  )
}
