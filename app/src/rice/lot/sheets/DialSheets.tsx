import { useState } from 'react'
import { View } from 'react-native'
import { DISCARD_REASONS, type DiscardReason } from 'core/rice/lot/lotEvent'
import { MIN_DEPTH_M, MAX_DEPTH_M } from 'core/rice/cooling/coolTray'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Choice'
import { Dial } from '../../../ui/Dial'
import { HoldButton } from '../../../ui/HoldButton'
import { Sheet } from '../../../ui/Sheet'
import { toast } from '../../../ui/Toast'
import { useWords } from '../../../words/i18n'
import { sayOfLot } from '../../useLots'
import type { LotPage } from '../lotPage'
import { useMassWords } from '../../../setup/useMassWords'
import { BulkDial } from '../../BulkDial'

type SheetProps = LotPage & { onClose: () => void }

/** What a lot is told with a dial or a choice. */
export function CountSheet({ shown, onClose }: SheetProps) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const [massG, setMassG] = useState(Math.round(shown.state.massG / 50) * 50)
  return (
    <Sheet title={t('lot.countTitle')} isOpen onClose={onClose}>
      <View className="gap-4">
        <BulkDial name={t('cooking.mass')} massG={massG} leastG={0} mostG={60_000} isFine onChange={setMassG} />
        <Button
          kind="main"
          isTall
          label={t('lot.countDo', { mass: bulk(massG, 2) })}
          onPress={() => {
            const [id] = sayOfLot(shown.lot.id, { kind: 'counted', massG })
            toast(t('lot.says.counted', { mass: bulk(massG, 2) }), () =>
              sayOfLot(shown.lot.id, { kind: 'undone', eventId: id }),
            )
            onClose()
          }}
        />
      </View>
    </Sheet>
  )
}

export function ThrowSheet({ shown, onClose }: SheetProps) {
  const t = useWords('rice')
  const [reason, setReason] = useState<DiscardReason>('endOfDay')
  const { name, id } = shown.lot
  return (
    <Sheet title={t('lot.throwTitle', { name })} isOpen onClose={onClose}>
      <View className="gap-4">
        <View role="radiogroup" aria-label={t('lot.throwAway')} className="flex-row flex-wrap">
          {DISCARD_REASONS.map((one) => (
            <Choice
              key={one}
              role="radio"
              label={t(`lot.reasons.${one}`)}
              isChosen={one === reason}
              onChoose={() => setReason(one)}
            />
          ))}
        </View>
        <HoldButton
          isTall
          label={t('lot.throwDo')}
          detail={t(`lot.reasons.${reason}`)}
          onHeld={() => {
            const [eventId] = sayOfLot(id, { kind: 'discarded', massG: null, reason })
            const isFinal = reason === 'warm' || reason === 'old'
            const undo = () => sayOfLot(id, { kind: 'undone', eventId })
            toast(t('lot.throwDone', { name }), isFinal ? undefined : undo)
            onClose()
          }}
        />
      </View>
    </Sheet>
  )
}

export function MoveSheet({ shown, house, onClose }: SheetProps) {
  const t = useWords('rice')
  const { lot, state } = shown
  const [placeId, setPlaceId] = useState(state.placeId)
  const [isCovered, setIsCovered] = useState(state.covered)
  const [depthM, setDepthM] = useState(state.depthM ?? 0.038)
  const places = house.places.filter((one) => one.kind !== 'bench' && one.kind !== 'freezer')
  const place = places.find((one) => one.id === placeId) ?? places.find((one) => one.kind === state.place)
  const what = t('cooking.trays')
  return (
    <Sheet title={t('cool.move')} isOpen onClose={onClose}>
      <View className="gap-4">
        <View role="radiogroup" aria-label={t('cooking.where')} className="flex-row flex-wrap">
          {places.map((one) => (
            <Choice
              key={one.id}
              role="radio"
              label={one.name}
              isChosen={one.id === place?.id}
              onChoose={() => setPlaceId(one.id)}
            />
          ))}
          <Choice
            role="checkbox"
            label={t('cooking.covered')}
            isChosen={isCovered}
            onChoose={() => setIsCovered(!isCovered)}
          />
        </View>
        <Dial
          name={what}
          lessLabel={t('less', { what: 'cm' })}
          moreLabel={t('moreOf', { what: 'cm' })}
          value={Math.round(depthM * 1000) / 10}
          least={MIN_DEPTH_M * 100}
          most={MAX_DEPTH_M * 100}
          step={0.5}
          unit="cm"
          onChange={(cm) => setDepthM(Math.round(cm * 10) / 1000)}
        />
        <Button
          kind="main"
          isTall
          label={t('cool.done')}
          disabledBecause={place ? undefined : t('places.none')}
          onPress={() => {
            if (!place || place.kind === 'bench' || place.kind === 'freezer') return
            sayOfLot(lot.id, {
              kind: 'moved',
              place: place.kind,
              placeId: place.id,
              covered: isCovered,
              airTempC: place.airTempC,
              depthM: depthM === state.depthM ? null : depthM,
            })
            onClose()
          }}
        />
      </View>
    </Sheet>
  )
}
