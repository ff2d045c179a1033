import type { MisePolicy } from 'contract/mise/house'
import { readStockAmount } from 'core/mise/stock/readStockAmount'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useMiseWords } from '../miseWords'
import { useSaveMisePolicy, useStock } from '../useMise'
import type { Mise } from '../useKitchenPlan'
import { clockText, readSkills, withPerson } from './shifts'

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7]
const USUAL = { weekdays: EVERY_DAY, fromMin: 840, toMin: 1020 }
const STEP_MIN = 15
const DAY_MIN = 1440

/** Who preps when, what there is, and pars: the figures that the plan is placed over. */
export function HouseSection({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
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

type ShiftProps = {
  name: string
  staffId: string
  policy: MisePolicy
  onKeep: (policy: MisePolicy) => void
  onClose: () => void
}

function ShiftSheet({ name, staffId, policy, onKeep, onClose }: ShiftProps) {
  const t = useWords('mise')
  const known = policy.people.find((one) => one.staffId === staffId)
  const first = known?.shifts[0] ?? USUAL
  const [hours, setHours] = useState({ fromMin: first.fromMin, toMin: first.toMin })
  const [skills, setSkills] = useState((known?.skills ?? []).join(', '))
  const dial = (key: 'fromMin' | 'toMin', label: string, least: number, most: number) => {
    const move = (by: number) => setHours({ ...hours, [key]: Math.min(most, Math.max(least, hours[key] + by)) })
    return (
      <View className="flex-row items-center gap-3">
        <Text tone="ash" className="w-12">
          {label}
        </Text>
        <Button
          label="−"
          accessibleName={`${label}, ${t('services.earlier')}`}
          className="w-14"
          onPress={() => move(-STEP_MIN)}
        />
        <Text size="figure" weight="bold" stretch="narrow" className="min-w-0 flex-1 text-center" aria-live="polite">
          {clockText(hours[key])}
        </Text>
        <Button
          label="+"
          accessibleName={`${label}, ${t('services.later')}`}
          className="w-14"
          onPress={() => move(STEP_MIN)}
        />
      </View>
    )
  }
  return (
    <Sheet title={t('services.shiftOf', { name })} isOpen onClose={onClose}>
      <View className="gap-3">
        {dial('fromMin', t('services.from'), 0, hours.toMin - STEP_MIN)}
        {dial('toMin', t('services.to'), hours.fromMin + STEP_MIN, DAY_MIN)}
        <Field label={t('services.skills')} value={skills} onChange={setSkills} maxLength={120} />
        <Button
          isTall
          kind="main"
          label={t('services.save')}
          detail={t('services.hours', { from: clockText(hours.fromMin), to: clockText(hours.toMin) })}
          onPress={() =>
            onKeep(
              withPerson(policy, staffId, { shifts: [{ weekdays: EVERY_DAY, ...hours }], skills: readSkills(skills) }),
            )
          }
        />
        <Button label={t('services.off')} onPress={() => onKeep(withPerson(policy, staffId, { shifts: [] }))} />
      </View>
    </Sheet>
  )
}

function Pars({ mise, onKeep }: { mise: Mise; onKeep: (pars: MisePolicy['pars']) => void }) {
  const t = useWords('mise')
  const { rows } = useStock()
  const { pars } = mise.house.policy
  const [openId, setOpenId] = useState<string | null>(null)
  const [typed, setTyped] = useState('')
  const row = rows.find((one) => one.itemId === openId)
  const read = row && typed.trim() !== '' ? readStockAmount(typed, row, mise.kitchen.tools.system) : null
  const fault = read !== null && read.kind !== 'grams' ? t(`count.${read.kind}`) : undefined
  const open = (itemId: string, written: string) => {
    setOpenId(itemId)
    setTyped(written)
  }
  const others = pars.filter((par) => par.itemId !== openId)
  return (
    <View>
      <Heading>{t('services.pars')}</Heading>
      <View role="list">
        {rows
          .filter((one) => one.itemId.startsWith('recipe:'))
          .map((one) => {
            const par = pars.find((each) => each.itemId === one.itemId)
            return (
              <View key={one.itemId} role="listitem" className="mt-1">
                <Button
                  size="body"
                  label={one.name}
                  detail={par ? `${par.written} · ${formatMassG(par.massG)}` : '–'}
                  accessibleName={t('services.parOf', { name: one.name })}
                  onPress={() => open(one.itemId, par?.written ?? '')}
                />
              </View>
            )
          })}
      </View>
      {row && (
        <Sheet title={t('services.parOf', { name: row.name })} isOpen onClose={() => setOpenId(null)}>
          <View className="gap-3">
            <Field label={t('count.typed')} value={typed} onChange={setTyped} fault={fault} maxLength={40} autoFocus />
            <Button
              isTall
              kind="main"
              label={t('services.save')}
              detail={read?.kind === 'grams' ? formatMassG(read.massG) : ''}
              disabledBecause={typed.trim() !== '' && read?.kind !== 'grams' ? t('count.unread') : undefined}
              onPress={() => {
                onKeep(
                  read?.kind === 'grams' && read.massG > 0
                    ? [...others, { itemId: row.itemId, massG: read.massG, written: typed.trim() }]
                    : others,
                )
                setOpenId(null)
              }}
            />
          </View>
        </Sheet>
      )}
    </View>
  )
}
