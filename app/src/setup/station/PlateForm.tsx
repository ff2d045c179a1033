import type { StationPlate, StationPlateState } from 'contract/stationPlate'
import { bulkUnitOf } from 'core/measure/scaleUnit'
import { USUAL_LIFT_KG } from 'core/wok/heat/handlingOfLoad'
import { HEAT_SOURCES } from 'core/wok/heat/vessel'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { formatTemp } from '../../words/format'
import { useReadsIn } from '../useKitchen'
import { useMassWords } from '../useMassWords'
import { PLATE_RANGE, plateOf, plateSchema, typedPlate, type TypedPlate } from './plateForm'
import { useSaveStation } from './useStationPlate'

const ROUND = ['wok', 'pan', 'pot'] as const

type PlateFormProps = {
  state: StationPlateState
  /** Something typed is not saved: the form keeps the version that it was typed over. */
  onTyping: (over: StationPlateState | null) => void
}

/** What is typed of a plate, with its faults; `isChanged` until it is saved, which `submit` does. */
function usePlate({ state, onTyping }: PlateFormProps) {
  const t = useWords('setup')
  const { plate: save } = useSaveStation(state.stationId)
  const [kind, setKind] = useState<StationPlate['kind']>(state.plate.kind)
  const [source, setSource] = useState<StationPlate['source']>(state.plate.source)
  const [isCoated, setIsCoated] = useState(state.plate.isCoated ?? false)
  const { weighsIn, bulk } = useMassWords()
  const readsIn = useReadsIn()
  const units = { weighsIn, readsIn }
  const range = {
    leastMass: bulk(PLATE_RANGE.leastG),
    mostMass: bulk(PLATE_RANGE.mostG, 0),
    leastHold: formatTemp({ tempC: PLATE_RANGE.leastHoldC }, readsIn),
    leastLift: bulk(PLATE_RANGE.leastLiftG),
    mostLift: bulk(PLATE_RANGE.mostLiftG, 0),
    mostHold: formatTemp({ tempC: PLATE_RANGE.mostHoldC }, readsIn),
    mostCoated: formatTemp({ tempC: PLATE_RANGE.mostCoatedC }, readsIn),
  }
  const form = useValidForm(
    plateSchema({ kind, isCoated }, units, (key) => t(`station.faults.${key}`, range)),
    typedPlate(state.plate, units),
  )
  const isChanged =
    form.formState.isDirty ||
    kind !== state.plate.kind ||
    source !== state.plate.source ||
    isCoated !== (state.plate.isCoated ?? false)
  useEffect(() => onTyping(isChanged ? state : null), [isChanged, state, onTyping])
  const problem = useProblemSentence(save.error)
  const submit = form.handleSubmit((typed) =>
    save.mutate(
      { version: state.version, plate: plateOf(typed, { kind, source, isCoated }, state.plate, units) },
      { onSuccess: () => onTyping(null) },
    ),
  )
  return {
    form,
    submit,
    isChanged,
    isSaving: save.isPending,
    problem,
    range,
    ...{ kind, setKind, source, setSource, isCoated, setIsCoated },
  }
}

/** The plate of a station and a tape measure: what is saved is a new version. */
export function PlateForm(props: PlateFormProps) {
  const t = useWords('setup')
  const { weighsIn, bulk } = useMassWords()
  const readsIn = useReadsIn()
  const { form, submit, isChanged, isSaving, problem, range, kind, setKind, source, setSource, isCoated, setIsCoated } =
    usePlate(props)
  const field = (name: keyof TypedPlate) => (
    <FormField
      control={form.control}
      name={name}
      label={t(`station.fields.${name}`, {
        unit: name === 'mass' || name === 'lift' ? bulkUnitOf(weighsIn) : `°${readsIn}`,
      })}
      inputMode="decimal"
      className="min-w-0 flex-1"
    />
  )
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} weight="bold">
        {t('station.plate')}
      </Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      {kind !== 'griddle' && (
        <OneOf
          name={t('station.kind')}
          of={ROUND}
          chosen={kind}
          words={(one) => t(`station.kinds.${one}`)}
          onChoose={setKind}
        />
      )}
      <View className="flex-row gap-2">
        {kind === 'griddle' ? (
          <>
            {field('widthCm')}
            {field('lengthCm')}
          </>
        ) : (
          <>
            {field('acrossCm')}
            {field('depthCm')}
          </>
        )}
      </View>
      <View className="flex-row gap-2">
        {field('mass')}
        {field('powerKw')}
      </View>
      <OneOf
        name={t('station.source')}
        of={HEAT_SOURCES}
        chosen={source}
        words={(one) => t(`station.sources.${one}`)}
        onChoose={setSource}
      />
      {kind !== 'griddle' && (
        <>
          <OneOf
            name={t('station.surface')}
            of={[false, true]}
            chosen={isCoated}
            words={(one) => t(`station.surfaces.${one ? 'coated' : 'bare'}`)}
            onChoose={setIsCoated}
          />
          {isCoated && (
            <Text size="small" tone="ash">
              {t('station.coatedHow', range)}
            </Text>
          )}
        </>
      )}
      <View className="flex-row gap-2">
        {field('reachesPercent')}
        {field('hold')}
      </View>
      {(kind === 'wok' || kind === 'pan') && (
        <View className="gap-1">
          <View className="flex-row">{field('lift')}</View>
          <Text size="small" tone="ash">
            {t('station.liftHow', { usual: bulk(USUAL_LIFT_KG * 1000) })}
          </Text>
        </View>
      )}
      {isChanged && <Button label={t('station.save')} isBusy={isSaving} onPress={() => void submit()} />}
    </View>
  )
}
