import type { Station } from 'contract/kitchen'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { z } from 'zod'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { count, figureOrNone } from './figures'
import { HousePage } from './HousePage'
import { useRemoveStation, useSaveStation } from './useHouse'

const KINDS = ['wok', 'griddle'] as const
const W_PER_KW = 1000

/** The stations of the kitchen: named, with the power on their plate and the most that the house fires at once. */
export function StationsScreen() {
  const t = useWords('setup')
  const router = useRouter()
  const stations = useKitchen().data?.stations ?? []
  const [open, setOpen] = useState<Station | 'new' | null>(null)
  const add = <Button kind="main" isTall label={t('house.stations.add')} onPress={() => setOpen('new')} />
  return (
    <HousePage title={t('house.stations.title')} bar={add}>
      {stations.length === 0 && <Text tone="ash">{t('house.stations.none')}</Text>}
      <View role="list" className="gap-2">
        {stations.map((one) => (
          <View key={one.id} role="listitem" className="flex-row gap-2">
            <Button
              className="flex-1"
              label={one.name}
              detail={`${t(`kinds.${one.kind}`)}, ${t('stationCap', { count: one.capPortions })}`}
              onPress={() => setOpen(one)}
            />
            <Button
              className="flex-1"
              label={t('house.stations.plate')}
              detail={t('house.stations.plateDetail')}
              accessibleName={t('station.open', { name: one.name })}
              onPress={() => router.push(`/setup/station/${one.id}`)}
            />
          </View>
        ))}
      </View>
      <View className="hidden md:flex">{add}</View>
      <Sheet
        title={open === null || open === 'new' ? t('house.stations.add') : open.name}
        isOpen={open !== null}
        onClose={() => setOpen(null)}
      >
        {open !== null && <StationForm station={open === 'new' ? null : open} onDone={() => setOpen(null)} />}
      </Sheet>
    </HousePage>
  )
}

/** A station as it stands, to be saved again. */
const draftOf = ({ name, kind, powerW, capPortions }: Station) => ({ name, kind, powerW, capPortions })

function StationForm({ station, onDone }: { station: Station | null; onDone: () => void }) {
  const t = useWords('setup')
  const [kind, setKind] = useState<Station['kind']>(station?.kind ?? 'wok')
  const schema = z.object({
    name: z.string().trim().min(1, t('house.stations.name')).max(120),
    powerKw: figureOrNone(0.3, 60, t('house.stations.powerFault')),
    cap: count(1, 60, t('house.stations.capFault')),
  })
  const powerW = station?.powerW ?? null
  const form = useValidForm(schema, {
    name: station?.name ?? '',
    powerKw: powerW === null ? '' : String(powerW / W_PER_KW),
    cap: String(station?.capPortions ?? 4),
  })
  const mayChange = useMay('arrange')
  const save = useSaveStation()
  const remove = useRemoveStation()
  const problem = useProblemSentence(save.error ?? remove.error)
  const submit = form.handleSubmit(({ name, powerKw, cap }) => {
    const draft = { name, kind, powerW: powerKw === null ? null : Math.round(powerKw * W_PER_KW), capPortions: cap }
    save.mutate(
      { id: station?.id ?? null, draft, was: station ? draftOf(station) : undefined },
      {
        onSuccess: () => {
          toast(
            t('house.stations.saved', { name }),
            station ? () => save.mutate({ id: station.id, draft: draftOf(station), was: draft }) : undefined,
          )
          form.reset()
          onDone()
        },
      },
    )
  })
  return (
    <View className="gap-3 pb-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('house.stations.name')} maxLength={120} />
      <OneOf
        name={t('house.stations.kind')}
        of={KINDS}
        chosen={kind}
        words={(one) => t(`house.stations.kinds.${one}`)}
        onChoose={setKind}
      />
      <FormField control={form.control} name="powerKw" label={t('house.stations.power')} inputMode="decimal" />
      <FormField control={form.control} name="cap" label={t('house.stations.cap')} inputMode="numeric" />
      <Button
        kind="main"
        label={t('house.stations.save')}
        isBusy={save.isPending}
        disabledBecause={mayChange ? undefined : t('house.mayNot')}
        onPress={() => void submit()}
      />
      {station && mayChange && (
        <HoldButton
          label={t('house.stations.remove', { name: station.name })}
          detail={t('house.stations.removeDetail')}
          onHeld={() =>
            remove.mutate(station.id, {
              onSuccess: () => {
                toast(t('house.stations.removed', { name: station.name }))
                onDone()
              },
            })
          }
        />
      )}
    </View>
  )
}
