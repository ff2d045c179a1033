import type { RicePlace, RiceVessel } from 'contract/riceHouse'
import { COOLING_PLACES } from 'core/rice/cooling/coolingPlace'
import { METHODS, usualSteamGPerMin, type Method } from 'core/rice/cookMethod'
import { useState } from 'react'
import { View } from 'react-native'
import { z } from 'zod'
import { newId } from '../../device/ids'
import { useMay } from '../../people/me'
import { useRiceHouse } from '../../rice/useLots'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { count, figure, figureOrNone } from './figures'
import { HousePage } from './HousePage'
import { useRemoveThing, useSavePlace, useSaveVessel } from './useHouse'
import { typedCelsius } from '../../ui/form/typedUnit'
import { formatTemp } from '../../words/format'
import { useReadsIn } from '../useKitchen'

const PLACES = ['bench', ...COOLING_PLACES, 'freezer'] as const
type Open = { vessel: RiceVessel | null } | { place: RicePlace | null } | null

/** What rice is cooked in and where its trays stand. */
export function RiceHouseScreen() {
  const t = useWords('setup')
  const house = useRiceHouse()
  const [open, setOpen] = useState<Open>(null)
  const done = () => setOpen(null)
  if (!house.data)
    return (
      <HousePage title={t('house.rice.title')}>
        {house.error ? (
          <Problem error={house.error} onRetry={() => void house.refetch()} />
        ) : (
          <Loading what={t('loading')} />
        )}
      </HousePage>
    )
  const { vessels, places } = house.data
  const isVessel = open !== null && 'vessel' in open
  const named = open === null ? null : 'vessel' in open ? open.vessel : open.place
  return (
    <HousePage title={t('house.rice.title')}>
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('house.rice.vessels')}
      </Text>
      {vessels.map((one) => (
        <Button
          key={one.id}
          label={one.name}
          detail={t('house.rice.about', {
            what: t(`house.rice.methods.${one.method}`),
            size: t('house.rice.litres', { litres: one.volumeL }),
          })}
          onPress={() => setOpen({ vessel: one })}
        />
      ))}
      <Button label={t('house.rice.addVessel')} onPress={() => setOpen({ vessel: null })} />
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('house.rice.places')}
      </Text>
      {places.map((one) => (
        <Button
          key={one.id}
          label={one.name}
          detail={t('house.rice.about', {
            what: t(`house.rice.kinds.${one.kind}`),
            size: t('house.rice.traysOf', { count: one.trays }),
          })}
          onPress={() => setOpen({ place: one })}
        />
      ))}
      <Button label={t('house.rice.addPlace')} onPress={() => setOpen({ place: null })} />
      <Sheet
        title={named?.name ?? t(isVessel ? 'house.rice.addVessel' : 'house.rice.addPlace')}
        isOpen={open !== null}
        onClose={done}
      >
        {open !== null &&
          ('vessel' in open ? (
            <VesselForm vessel={open.vessel} onDone={done} />
          ) : (
            <PlaceForm place={open.place} onDone={done} />
          ))}
      </Sheet>
    </HousePage>
  )
}

function VesselForm({ vessel, onDone }: { vessel: RiceVessel | null; onDone: () => void }) {
  const t = useWords('setup')
  const [method, setMethod] = useState<Method>(vessel?.method ?? 'cooker')
  const [id] = useState(() => vessel?.id ?? newId())
  const schema = z.object({
    name: z.string().trim().min(1, t('house.rice.name')).max(120),
    volumeL: figure(0.5, 500, t('house.rice.volumeFault')),
    many: count(1, 20, t('house.rice.countFault')),
  })
  const form = useValidForm(schema, {
    name: vessel?.name ?? '',
    volumeL: vessel ? String(vessel.volumeL) : '',
    many: String(vessel?.count ?? 1),
  })
  const save = useSaveVessel()
  const problem = useProblemSentence(save.error)
  const submit = form.handleSubmit(({ name, volumeL, many }) => {
    const steamGPerMin = vessel?.method === method ? vessel.steamGPerMin : usualSteamGPerMin(method)
    const draft = { name, method, volumeL, count: many, steamGPerMin }
    const was = vessel ? vesselDraft(vessel) : undefined
    const undo = was ? () => save.mutate({ id, draft: was, was: draft }) : undefined
    save.mutate(
      { id, draft, was },
      { onSuccess: () => said(t('house.rice.saved', { name }), undo, form.reset, onDone) },
    )
  })
  return (
    <View className="gap-3 pb-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('house.rice.name')} maxLength={120} />
      <OneOf
        name={t('house.rice.method')}
        of={METHODS}
        chosen={method}
        words={(one) => t(`house.rice.methods.${one}`)}
        onChoose={setMethod}
      />
      <FormField control={form.control} name="volumeL" label={t('house.rice.volume')} inputMode="decimal" />
      <FormField control={form.control} name="many" label={t('house.rice.count')} inputMode="numeric" />
      <SaveButton isBusy={save.isPending} onPress={() => void submit()} />
      {vessel && (
        <TakeOut
          name={vessel.name}
          path={`/rice/vessels/${vessel.id}`}
          onUndo={() => save.mutate({ id, draft: vesselDraft(vessel), was: undefined })}
          onDone={onDone}
        />
      )}
    </View>
  )
}

const LEAST_AIR_C = -40
const MOST_AIR_C = 60

function PlaceForm({ place, onDone }: { place: RicePlace | null; onDone: () => void }) {
  const t = useWords('setup')
  const [kind, setKind] = useState<RicePlace['kind']>(place?.kind ?? 'fridge')
  const [id] = useState(() => place?.id ?? newId())
  const readsIn = useReadsIn()
  const celsius = typedCelsius(readsIn)
  const written = (tempC: number) => formatTemp({ tempC }, readsIn)
  const schema = z.object({
    name: z.string().trim().min(1, t('house.rice.name')).max(120),
    air: figureOrNone(
      Number(celsius.show(LEAST_AIR_C)),
      Number(celsius.show(MOST_AIR_C)),
      t('house.rice.airFault', { least: written(LEAST_AIR_C), most: written(MOST_AIR_C) }),
    ),
    trays: count(0, 500, t('house.rice.traysFault')),
  })
  const form = useValidForm(schema, {
    name: place?.name ?? '',
    air: celsius.show(place?.airTempC),
    trays: String(place?.trays ?? 4),
  })
  const save = useSavePlace()
  const problem = useProblemSentence(save.error)
  const submit = form.handleSubmit(({ name, air, trays }) => {
    const draft = { name, kind, airTempC: air === null ? null : celsius.read(air, place?.airTempC), trays }
    const was = place ? placeDraft(place) : undefined
    const undo = was ? () => save.mutate({ id, draft: was, was: draft }) : undefined
    save.mutate(
      { id, draft, was },
      { onSuccess: () => said(t('house.rice.saved', { name }), undo, form.reset, onDone) },
    )
  })
  return (
    <View className="gap-3 pb-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('house.rice.name')} maxLength={120} />
      <OneOf
        name={t('house.rice.kind')}
        of={PLACES}
        chosen={kind}
        words={(one) => t(`house.rice.kinds.${one}`)}
        onChoose={setKind}
      />
      <FormField
        control={form.control}
        name="air"
        label={t('house.rice.air', { unit: `°${readsIn}` })}
        inputMode="decimal"
      />
      <FormField control={form.control} name="trays" label={t('house.rice.trays')} inputMode="numeric" />
      <SaveButton isBusy={save.isPending} onPress={() => void submit()} />
      {place && (
        <TakeOut
          name={place.name}
          path={`/rice/places/${place.id}`}
          onUndo={() => save.mutate({ id, draft: placeDraft(place), was: undefined })}
          onDone={onDone}
        />
      )}
    </View>
  )
}

const vesselDraft = ({ name, method, volumeL, count: many, steamGPerMin }: RiceVessel) => ({
  name,
  method,
  volumeL,
  count: many,
  steamGPerMin,
})
const placeDraft = ({ name, kind, airTempC, trays }: RicePlace) => ({ name, kind, airTempC, trays })

function said(words: string, undo: (() => void) | undefined, reset: () => void, onDone: () => void): void {
  toast(words, undo)
  reset()
  onDone()
}

type TakeOutProps = { name: string; path: string; onUndo: () => void; onDone: () => void }

function SaveButton({ isBusy, onPress }: { isBusy: boolean; onPress: () => void }) {
  const t = useWords('setup')
  const mayChange = useMay('arrange')
  return (
    <Button
      kind="main"
      label={t('house.rice.save')}
      isBusy={isBusy}
      disabledBecause={mayChange ? undefined : t('house.mayNot')}
      onPress={onPress}
    />
  )
}

function TakeOut({ name, path, onUndo, onDone }: TakeOutProps) {
  const t = useWords('setup')
  const remove = useRemoveThing()
  const problem = useProblemSentence(remove.error)
  if (!useMay('arrange')) return null
  return (
    <>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <HoldButton
        label={t('house.rice.remove', { name })}
        detail={t('house.rice.removeDetail')}
        onHeld={() =>
          remove.mutate(path, {
            onSuccess: () => {
              toast(t('house.rice.removed', { name }), onUndo)
              onDone()
            },
          })
        }
      />
    </>
  )
}
