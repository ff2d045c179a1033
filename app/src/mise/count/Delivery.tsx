import type { StockRow } from 'contract/mise/stock'
import { doubtDelivery } from 'core/mise/need/buy'
import { readStockAmount } from 'core/mise/stock/readStockAmount'
import { useState } from 'react'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useKitchen } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { useWords } from '../../words/i18n'
import { sayOfMise, undoMise, useMisePlans } from '../useMise'

/** What came of an item against what was to be bought; a slipped digit is asked about before it is taken in. */
export function Delivery({ row, onClose }: { row: StockRow; onClose: () => void }) {
  const { mass, weighsIn } = useMassWords()
  const t = useWords('mise')
  const kitchen = useKitchen().data
  const { plans } = useMisePlans()
  const plan = plans.find((one) => one.drawn?.items.some((item) => item.itemId === row.itemId && item.netG > 0))
  const orderedG = plan?.drawn?.items.find((item) => item.itemId === row.itemId)?.netG ?? null
  const [typed, setTyped] = useState('')
  const read =
    typed.trim() === '' || !kitchen ? null : readStockAmount(typed, row, { system: kitchen.tools.system, weighsIn })
  const massG =
    read === null ? (orderedG === null ? null : Math.round(orderedG)) : read.kind === 'grams' ? read.massG : null
  const fault = read !== null && read.kind !== 'grams' ? t(`count.${read.kind}`) : undefined
  const doubt = orderedG !== null && massG !== null ? doubtDelivery(orderedG, massG) : null
  const planId = plan?.id ?? 'stock'
  const take = (cameG: number) => {
    const ids = sayOfMise(planId, {
      kind: 'delivered',
      itemId: row.itemId,
      orderedG: orderedG === null ? null : Math.round(orderedG),
      massG: cameG,
      useByMs: null,
    })
    toast(t('count.took', { mass: mass(cameG), name: row.name }), () => undoMise(planId, ids))
    onClose()
  }
  return (
    <>
      {orderedG !== null && <Text size="step">{t('count.ordered', { mass: mass(orderedG) })}</Text>}
      <Field
        label={t(`count.typed.${weighsIn}`)}
        value={typed}
        onChange={setTyped}
        fault={fault}
        maxLength={40}
        autoFocus
      />
      {orderedG !== null && massG !== null && massG < orderedG * 0.98 && (
        <Text weight="semi">{t('count.shortCame', { mass: mass(orderedG - massG) })}</Text>
      )}
      {doubt && (
        <Notice
          kind="conflict"
          isSmall
          title={
            doubt.kind === 'ten-times'
              ? t('count.tenTimes', { likely: mass(doubt.likelyG) })
              : t('count.farMore', { mass: mass(doubt.orderedG) })
          }
        />
      )}
      {doubt?.kind === 'ten-times' && (
        <Button
          kind="main"
          label={t('count.takeLikely', { mass: mass(doubt.likelyG) })}
          onPress={() => take(doubt.likelyG)}
        />
      )}
      <Button
        isTall
        kind={doubt ? 'plain' : 'main'}
        label={t('count.takeIn', { mass: massG === null ? '…' : mass(massG) })}
        disabledBecause={massG === null ? t('count.unread') : undefined}
        onPress={() => massG !== null && take(massG)}
      />
    </>
  )
}
