import type { MisePolicy } from 'contract/mise/house'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useMiseWords } from '../miseWords'
import { useSaveMisePolicy } from '../useMise'
import type { Mise } from '../useKitchenPlan'
import { Pars } from './Pars'
import { clockText } from './shifts'
import { ShiftSheet } from './ShiftSheet'

/** Who preps when, what there is, and pars: the figures that the plan is placed over. */
export function HouseSection({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const router = useRouter()
  const save = useSaveMisePolicy()
  const problem = useProblemSentence(save.error)
  const [shiftOf, setShiftOf] = useState<string | null>(null)
  const { version, policy } = mise.house
  const keep = (next: MisePolicy) =>
    save.mutate({ version, policy: next }, { onSuccess: () => toast(t('services.saved')) })
  const tool = (id: string, by: number) =>
    keep({
      ...policy,
      equipment: policy.equipment.map((one) => (one.id === id ? { ...one, count: Math.max(0, one.count + by) } : one)),
    })
  return (
    <View>
      <Heading>{t('services.house')}</Heading>
      <Text tone="ash">{t('services.houseHow')}</Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <View role="list">
        {mise.kitchen.staff.map(({ id }) => {
          const shifts = policy.people.find((one) => one.staffId === id)?.shifts ?? []
          const hours = shifts
            .map((one) => t('services.hours', { from: clockText(one.fromMin), to: clockText(one.toMin) }))
            .join(', ')
          return (
            <View key={id} role="listitem" className="mt-1">
              <Button
                size="body"
                label={words.person(id)}
                detail={hours || t('services.noShift')}
                onPress={() => setShiftOf(id)}
              />
            </View>
          )
        })}
      </View>
      <Heading>{t('services.tools')}</Heading>
      <View role="list">
        {policy.equipment.map((one) => (
          <View key={one.id} role="listitem" className="flex-row items-center gap-2 border-b border-edge py-1">
            <Text size="step" weight="semi" className="min-w-0 flex-1">
              {`${one.count} × ${one.name}`}
            </Text>
            <Button
              label="−"
              accessibleName={t('services.less', { name: one.name })}
              className="w-14"
              onPress={() => tool(one.id, -1)}
            />
            <Button
              label="+"
              accessibleName={t('services.more', { name: one.name })}
              className="w-14"
              onPress={() => tool(one.id, 1)}
            />
          </View>
        ))}
      </View>
      <Button label={t('services.prep')} onPress={() => router.push('/setup/prep')} />
      <Pars mise={mise} onKeep={(pars) => keep({ ...policy, pars })} />
      {shiftOf !== null && (
        <ShiftSheet
          key={shiftOf}
          name={words.person(shiftOf)}
          policy={policy}
          staffId={shiftOf}
          onKeep={(next) => {
            keep(next)
            setShiftOf(null)
          }}
          onClose={() => setShiftOf(null)}
        />
      )}
    </View>
  )
}
