import type { StockRow } from 'contract/mise/stock'
import { stockG } from 'core/mise/stock/foldStock'
import { WASTE_REASONS, type WasteReason } from 'core/mise/doing/miseEvent'
import { useState } from 'react'
import { View } from 'react-native'
import { Choice } from '../../ui/Choice'
import { HoldButton } from '../../ui/HoldButton'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { sayOfMise, undoMise } from '../useMise'
import { MassDial } from './MassDial'
import { useMassWords } from '../../setup/useMassWords'

const LITTLE_G = 40

/** Thrown away, with the reason: held, not tapped. */
export function Waste({ row, onClose }: { row: StockRow; onClose: () => void }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const thereG = Math.round(stockG(row))
  const first = row.lots[0]
  const [massG, setMassG] = useState(Math.round(first?.leftG ?? thereG))
  const [reason, setReason] = useState<WasteReason>('old')
  const throwAway = () => {
    const ids = sayOfMise('stock', { kind: 'wasted', itemId: row.itemId, lotId: first?.id ?? null, massG, reason })
    toast(t('count.wasted', { mass: mass(massG), name: row.name }), () => undoMise('stock', ids))
    onClose()
  }
  return (
    <>
      <MassDial
        name={t('count.wasteOf', { name: row.name })}
        massG={massG}
        aroundG={Math.max(thereG, LITTLE_G)}
        mostG={Math.max(thereG, massG)}
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
      <HoldButton isTall label={t('count.waste')} detail={mass(massG)} onHeld={throwAway} />
    </>
  )
}
