import { useMutation, useQueryClient } from '@tanstack/react-query'
import { RiceHouse, type RicePolicy } from 'contract/riceHouse'
import { GRAINS, WASHES } from 'core/rice/cookMethod'
import { STACKS, TRAY_MATERIALS, type CoolStage } from 'core/rice/cooling/coolingPlace'
import { sufficientShare } from 'core/rice/plan/howMuch'
import { useState } from 'react'
import { View } from 'react-native'
import { sendJson } from '../../device/http'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
import { useUnsaved } from '../../ui/form/leave'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { Part, type Change } from './PolicyPart'
import { Readings } from './Readings'

const stage = (place: CoolStage['place'], minutes: number): CoolStage => ({
  durationS: minutes * 60,
  place,
  covered: false,
})
const COOLINGS = {
  fridge: [stage('fridge', 600)],
  fanFridge: [stage('fan', 20), stage('fridge', 600)],
  rackFridge: [stage('rack', 30), stage('fridge', 600)],
  iceFridge: [stage('ice-bath', 45), stage('fridge', 600)],
  blast: [stage('blast', 600)],
} as const satisfies Record<string, readonly CoolStage[]>
const COOLING_NAMES = Object.keys(COOLINGS) as (keyof typeof COOLINGS)[]
const SHARE_STEP = 5
const DAYS = [null, 1, 2, 3, 4, 5, 6, 7] as const

const sameCooling = (a: readonly CoolStage[], b: readonly CoolStage[]) =>
  a.length === b.length &&
  a.every((one, i) => one.place === b[i]?.place && (i === a.length - 1 || one.durationS === b[i]?.durationS))

/** How the house does its rice: vessel, grain, wash, cooling, what running out costs against waste. */
export function PolicySheet({ house, onClose }: { house: RiceHouse; onClose: () => void }) {
  const t = useWords('rice')
  const queries = useQueryClient()
  const [policy, setPolicy] = useState<RicePolicy>(house.policy)
  useUnsaved(policy !== house.policy)
  const change = (part: Partial<RicePolicy>) => setPolicy({ ...policy, ...part })
  const keep = useMutation({
    mutationFn: () => sendJson('PUT', '/rice/house', { version: house.version, policy }, RiceHouse),
    onSuccess: (saved) => {
      queries.setQueryData(['rice', 'house'], saved)
      onClose()
    },
    onError: () => void queries.invalidateQueries({ queryKey: ['rice', 'house'] }),
  })
  const problem = useProblemSentence(keep.error)
  const sum = Math.round(GRAINS.reduce((all, grain) => all + (policy.blend[grain] ?? 0), 0) * 100)
  return (
    <Sheet title={t('policy.title')} isOpen onClose={onClose}>
      <View className="gap-4">
        {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
        <Vessels house={house} policy={policy} change={change} />
        <Blend policy={policy} change={change} sum={sum} />
        <Part title={t('policy.wash')}>
          <OneOf
            name={t('policy.wash')}
            of={WASHES}
            chosen={policy.wash}
            words={(wash) => t(`washes.${wash}`)}
            onChoose={(wash) => change({ wash })}
          />
        </Part>
        <Cooling policy={policy} change={change} />
        <Part title={t('policy.close')}>
          <Dial
            name={t('policy.close')}
            lessLabel={t('less', { what: t('policy.close') })}
            moreLabel={t('moreOf', { what: t('policy.close') })}
            value={policy.closeMin / 60}
            least={0}
            most={24}
            step={0.5}
            unit={t('add.hours')}
            onChange={(hours) => change({ closeMin: Math.round(hours * 60) })}
          />
        </Part>
        <Costs policy={policy} change={change} />
        <Part title={t('policy.serve')}>
          <OneOf
            name={t('policy.serve')}
            of={['fridge', 'tempered'] as const}
            chosen={policy.serveFrom}
            words={(from) => t(`policy.serves.${from}`)}
            onChoose={(serveFrom) => change({ serveFrom })}
          />
        </Part>
        <Part title={t('policy.keep')}>
          <OneOf
            name={t('policy.keep')}
            of={DAYS}
            chosen={policy.keepDays}
            words={(days) => (days === null ? t('policy.keepRule') : t('policy.keepDays', { count: days }))}
            onChoose={(keepDays) => change({ keepDays })}
          />
        </Part>
        <Readings policy={policy} change={change} />
        <Button
          kind="main"
          isTall
          isBusy={keep.isPending}
          label={t('tomorrow.save')}
          disabledBecause={sum === 100 ? undefined : t('policy.blendSum', { sum })}
          onPress={() => keep.mutate()}
        />
      </View>
    </Sheet>
  )
}

function Vessels({ house, policy, change }: Change & { house: RiceHouse }) {
  const t = useWords('rice')
  const vessel = house.vessels.find((one) => one.id === policy.vesselId)
  return (
    <Part title={t('policy.vessel')}>
      <OneOf
        name={t('policy.vessel')}
        of={house.vessels.map((one) => one.id)}
        chosen={policy.vesselId}
        words={(id) => house.vessels.find((one) => one.id === id)?.name ?? id}
        onChoose={(vesselId) => change({ vesselId })}
      />
      {vessel && (
        <Text tone="ash" stretch="slim">
          {t('policy.vesselDetail', {
            method: t(`methods.${vessel.method}`),
            litres: vessel.volumeL,
            n: vessel.count,
            steam: vessel.steamGPerMin.toFixed(1),
            loads: vessel.loadsWeighed,
          })}
        </Text>
      )}
    </Part>
  )
}

/** Shares of the grains, in parts of a hundred. */
function Blend({ policy, change, sum }: Change & { sum: number }) {
  const t = useWords('rice')
  return (
    <Part title={t('policy.blend')}>
      {GRAINS.map((grain) => (
        <View key={grain} className="flex-row items-center gap-3">
          <Text className="w-28">{t(`grains.${grain}`)}</Text>
          <View className="flex-1">
            <Dial
              name={t(`grains.${grain}`)}
              lessLabel={t('less', { what: t(`grains.${grain}`) })}
              moreLabel={t('moreOf', { what: t(`grains.${grain}`) })}
              value={Math.round((policy.blend[grain] ?? 0) * 100)}
              least={0}
              most={100}
              step={SHARE_STEP}
              unit={t('percent')}
              onChange={(percent) => change({ blend: withShare(policy.blend, grain, percent / 100) })}
            />
          </View>
        </View>
      ))}
      {sum !== 100 && <Notice kind="conflict" isSmall title={t('policy.blendSum', { sum })} />}
    </Part>
  )
}

/** Where trays are cooled, how they stand, and what they are made of. */
function Cooling({ policy, change }: Change) {
  const t = useWords('rice')
  const stack = policy.cooling.at(-1)?.stack
  return (
    <>
      <Part title={t('policy.cooling')}>
        <OneOf
          name={t('policy.cooling')}
          of={COOLING_NAMES}
          chosen={COOLING_NAMES.find((name) => sameCooling(COOLINGS[name], policy.cooling)) ?? null}
          words={(name) => t(`policy.coolings.${name}`)}
          onChoose={(name) => change({ cooling: COOLINGS[name].map((one) => ({ ...one, stack })) })}
        />
      </Part>
      <Part title={t('policy.stack')}>
        <OneOf
          name={t('policy.stack')}
          of={STACKS}
          chosen={stack ?? 'single'}
          words={(one) => t(`policy.stacks.${one}`)}
          onChoose={(to) => change({ cooling: policy.cooling.map((one) => ({ ...one, stack: to })) })}
        />
      </Part>
      <Part title={t('policy.tray')}>
        <OneOf
          name={t('policy.tray')}
          of={TRAY_MATERIALS}
          chosen={policy.tray.material ?? 'steel'}
          words={(material) => t(`policy.trays.${material}`)}
          onChoose={(material) => change({ tray: { ...policy.tray, material } })}
        />
      </Part>
    </>
  )
}

function Costs({ policy, change }: Change) {
  const t = useWords('rice')
  const dial = (key: 'shortageCost' | 'wasteCost', title: string, step: number) => (
    <Part title={title}>
      <Dial
        name={title}
        lessLabel={t('less', { what: title })}
        moreLabel={t('moreOf', { what: title })}
        value={policy[key]}
        least={step}
        most={1000}
        step={step}
        unit={t('policy.money')}
        onChange={(cost) => change({ [key]: Math.round(cost * 100) / 100 })}
      />
    </Part>
  )
  return (
    <>
      {dial('shortageCost', t('policy.shortage'), 0.2)}
      {dial('wasteCost', t('policy.waste'), 0.05)}
      <Text weight="bold">{t('policy.share', { share: Math.round(sufficientShare(policy) * 100) })}</Text>
    </>
  )
}

/** A grain without a share is left out, so that a blend holds only what goes into the pot. */
function withShare(blend: RicePolicy['blend'], grain: (typeof GRAINS)[number], share: number): RicePolicy['blend'] {
  const { [grain]: _old, ...others } = blend
  return share > 0 ? { ...others, [grain]: share } : others
}
