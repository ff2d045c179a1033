import type { PairedDevice, Pairing } from 'contract/people'
import { useState } from 'react'
import { View } from 'react-native'
import Svg, { Path, Rect } from 'react-native-svg'
import { z } from 'zod'
import { useMay, useMe } from '../../people/me'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { useDevices, useNameDevice, usePairing, useShutOut } from './usePeople'
import { HousePage } from '../house/HousePage'
import { Asked } from './Asked'

/** Every device that was let in, who is at it, and the way to let another in or shut one out; for owners. */
export function DevicesScreen() {
  const t = useWords('people')
  const isOwner = useMay('people')
  const devices = useDevices()
  const pairing = usePairing()
  const [open, setOpen] = useState<PairedDevice | null>(null)
  const problem = useProblemSentence(pairing.error)
  const letIn = (
    <Button
      kind="main"
      isTall
      label={t('setup.letIn')}
      detail={t('setup.letInDetail')}
      isBusy={pairing.isPending}
      onPress={() => pairing.mutate()}
    />
  )
  return (
    <HousePage title={t('setup.devices')} bar={isOwner && letIn}>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      {isOwner && pairing.data && <PairingCode pairing={pairing.data} />}
      <Asked mayRead={isOwner} otherwise={t('setup.ownerOnly')} query={devices} data={devices.data}>
        {({ devices: all }) => (
          <>
            <View className="hidden md:flex">{letIn}</View>
            <View role="list">
              {all.map((one) => (
                <View key={one.id} role="listitem" className="mb-2">
                  <DeviceButton device={one} onPress={() => setOpen(one)} />
                </View>
              ))}
            </View>
          </>
        )}
      </Asked>
      <Sheet title={open?.name ?? ''} isOpen={open !== null} onClose={() => setOpen(null)}>
        {open && <DeviceForm device={open} onDone={() => setOpen(null)} />}
      </Sheet>
    </HousePage>
  )
}

function DeviceButton({ device, onPress }: { device: PairedDevice; onPress: () => void }) {
  const t = useWords('people')
  const me = useMe()
  const kitchen = useKitchen().data
  const zone = kitchen?.timeZone ?? 'UTC'
  const person = kitchen?.staff.find(({ id }) => id === device.personId)
  const state =
    device.shutOutAtMs !== null
      ? t('setup.isOut', { day: formatDay(device.shutOutAtMs, zone), time: formatTime(device.shutOutAtMs, zone) })
      : person && device.sinceMs !== null
        ? t('setup.personAt', { name: person.name, time: formatTime(device.sinceMs, zone) })
        : t('setup.nobodyAt')
  const isThis = device.id === me?.device.id
  const about = [device.place, state, isThis ? t('setup.thisDevice') : ''].filter(Boolean).join(' · ')
  return <Button label={device.name} detail={about} onPress={onPress} />
}

function PairingCode({ pairing }: { pairing: Pairing }) {
  const t = useWords('people')
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  return (
    <View className="items-center gap-2 rounded-lg border border-edge bg-plate p-4">
      <Text tone="ash">{t('setup.code', { time: formatTime(pairing.untilMs, zone) })}</Text>
      <Text size="amount" weight="bold" stretch="wide">
        {pairing.code}
      </Text>
      <QrCode rows={pairing.qr} />
      <Text tone="ash" className="text-center">
        {t('setup.codeHow', { link: new URL(pairing.link).origin })}
      </Text>
    </View>
  )
}

const QR_PX = 200

function QrCode({ rows }: { rows: readonly string[] }) {
  const t = useWords('people')
  const dark = rows.flatMap((row, y) => [...row].flatMap((sign, x) => (sign === '#' ? [`M${x} ${y}h1v1h-1z`] : [])))
  return (
    <Svg
      role="img"
      aria-label={t('setup.qr')}
      width={QR_PX}
      height={QR_PX}
      viewBox={`0 0 ${rows.length} ${rows.length}`}
    >
      <Rect width={rows.length} height={rows.length} fill="#fff" />
      <Path d={dark.join('')} fill="#000" />
    </Svg>
  )
}

function DeviceForm({ device, onDone }: { device: PairedDevice; onDone: () => void }) {
  const t = useWords('people')
  const me = useMe()
  const name = useNameDevice()
  const shutOut = useShutOut()
  const problem = useProblemSentence(name.error ?? shutOut.error)
  const schema = z.object({
    name: z.string().trim().min(1, t('setup.nameFault')).max(120),
    place: z.string().trim().max(120),
  })
  const form = useValidForm(schema, { name: device.name, place: device.place })
  const save = form.handleSubmit((draft) =>
    name.mutate(
      { id: device.id, ...draft },
      {
        onSuccess: () => {
          toast(t('setup.saved', { name: draft.name }))
          form.reset(draft)
          onDone()
        },
      },
    ),
  )
  return (
    <View className="gap-3 pb-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('setup.name')} maxLength={120} />
      <FormField control={form.control} name="place" label={t('setup.place')} maxLength={120} />
      <Button label={t('setup.save')} isBusy={name.isPending} onPress={() => void save()} />
      {device.shutOutAtMs === null && device.id !== me?.device.id && (
        <HoldButton
          label={t('setup.shutOut')}
          detail={t('setup.shutOutDetail')}
          onHeld={() =>
            shutOut.mutate(device.id, {
              onSuccess: () => {
                toast(t('setup.isShutOut', { name: device.name }))
                onDone()
              },
            })
          }
        />
      )}
    </View>
  )
}
