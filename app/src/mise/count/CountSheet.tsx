import { EventId } from 'contract/ids'
import type { Kitchen } from 'contract/kitchen'
import type { Count, StockRow } from 'contract/mise/stock'
import { countGap } from 'core/mise/stock/expected'
import { stockG } from 'core/mise/stock/foldStock'
import { readStockAmount } from 'core/mise/stock/readStockAmount'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { capital, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { sayOfMise, undoMise } from '../useMise'
import { Lots } from './Lots'
import { MassDial } from './MassDial'
import { Delivery } from './Delivery'
import { Waste } from './Waste'
import { useMassWords } from '../../setup/useMassWords'

type Props = { row: StockRow; kitchen: Kitchen; onCount: (row: StockRow, massG: number) => void; onClose: () => void }
type Part = 'count' | 'waste' | 'deliver'

/** One item: how much was found, its lots, what is thrown away, what came. */
export function CountSheet({ row, kitchen, onCount, onClose }: Props) {
  const t = useWords('mise')
  const [part, setPart] = useState<Part>('count')
  const name = `${capital(row.name)} ${row.form}`.trim()
  const title = {
    count: t('count.sheet', { name }),
    waste: t('count.wasteOf', { name }),
    deliver: t('count.delivery', { name }),
  }
  return (
    <Sheet title={title[part]} isOpen onClose={onClose}>
      <View className="gap-2.5">
        {part === 'count' && (
          <>
            <Twice row={row} kitchen={kitchen} onClose={onClose} />
            <Found row={row} kitchen={kitchen} onCount={onCount} onClose={onClose} />
            <Lots row={row} kitchen={kitchen} />
            <View className="flex-row gap-2.5">
              <Button label={t('count.waste')} size="body" className="flex-1" onPress={() => setPart('waste')} />
              <Button label={t('count.deliver')} size="body" className="flex-1" onPress={() => setPart('deliver')} />
            </View>
          </>
        )}
        {part === 'waste' && <Waste row={row} onClose={onClose} />}
        {part === 'deliver' && <Delivery row={row} onClose={onClose} />}
      </View>
    </Sheet>
  )
}

/** Two devices counted it within the hour and disagree: both are shown, one is kept. */
function Twice({ row, kitchen, onClose }: Omit<Props, 'onCount'>) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const { lastCount, otherCount } = row
  if (!lastCount || !otherCount) return null
  const keep = (kept: Count) => {
    const other = kept === lastCount ? otherCount : lastCount
    const ids = sayOfMise('stock', {
      kind: 'settled',
      itemId: row.itemId,
      keptId: EventId.parse(kept.eventId),
      otherId: EventId.parse(other.eventId),
    })
    toast(t('count.counted', { name: row.name, mass: mass(kept.massG) }), () => undoMise('stock', ids))
    onClose()
  }
  return (
    <Notice kind="conflict" title={t('count.twice')}>
      <View className="gap-2">
        <Text tone="inverse" stretch="slim">
          {t('count.twiceDetail', {
            mass: mass(otherCount.massG),
            time: formatTime(otherCount.atMs, kitchen.timeZone),
            now: mass(lastCount.massG),
          })}
        </Text>
        <View className="flex-row gap-2">
          {[otherCount, lastCount].map((one) => (
            <Button
              key={one.eventId}
              kind="inverse"
              size="body"
              label={t('count.keepThis', { mass: mass(one.massG) })}
              className="flex-1"
              onPress={() => keep(one)}
            />
          ))}
        </View>
      </View>
    </Notice>
  )
}

const LITTLE_G = 60
const MAX_G = 1_000_000

function Found({ row, kitchen, onCount, onClose }: Props) {
  const { mass, weighsIn } = useMassWords()
  const t = useWords('mise')
  const expectedG = Math.round(stockG(row))
  const [massG, setMassG] = useState(expectedG)
  const [typed, setTyped] = useState('')
  const read = typed.trim() === '' ? null : readStockAmount(typed, row, { system: kitchen.tools.system, weighsIn })
  const foundG = read === null ? massG : read.kind === 'grams' ? Math.round(read.massG * 10) / 10 : null
  const fault = read !== null && read.kind !== 'grams' ? t(`count.${read.kind}`) : undefined
  const gap = foundG === null ? null : countGap(expectedG, foundG)
  const keep = () => {
    if (foundG === null) return
    onCount(row, foundG)
    onClose()
  }
  return (
    <>
      <MassDial
        name={t('count.sheet', { name: row.name })}
        massG={massG}
        aroundG={Math.max(expectedG, LITTLE_G)}
        mostG={MAX_G}
        onChange={(value) => {
          setTyped('')
          setMassG(value)
        }}
      />
      {row.packG !== null && <Packs row={row} packG={row.packG} onPick={setMassG} />}
      <Field
        label={t(`count.typed.${weighsIn}`)}
        value={typed}
        onChange={setTyped}
        fault={fault}
        inputMode="text"
        maxLength={40}
      />
      {gap?.isLarge && (
        <Text weight="semi">
          {t('count.large', {
            gap: t(gap.gapG < 0 ? 'count.gapLess' : 'count.gapMore', { mass: mass(Math.abs(gap.gapG)) }),
          })}
        </Text>
      )}
      <Button
        isTall
        kind="main"
        label={t('count.keep', { mass: foundG === null ? '…' : mass(foundG) })}
        detail={t('count.expected', { mass: mass(expectedG) })}
        disabledBecause={foundG === null ? t('count.unread') : undefined}
        onPress={keep}
      />
    </>
  )
}

const PACKS = [0, 0.5, 1, 2, 3, 4] as const

/** By packs of the supplier: what the eye counts on the shelf. */
function Packs({ row, packG, onPick }: { row: StockRow; packG: number; onPick: (massG: number) => void }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  return (
    <View>
      <Text tone="ash">{row.packName ?? t('count.pack', { mass: mass(packG) })}</Text>
      <View className="flex-row flex-wrap gap-1.5">
        {PACKS.map((count) => (
          <Button
            key={count}
            size="body"
            label={String(count)}
            accessibleName={`${count} ${t('count.packs')}`}
            className="w-12"
            onPress={() => onPick(Math.round(count * packG))}
          />
        ))}
      </View>
    </View>
  )
}
