import type { MisePolicy } from 'contract/mise/house'
import { useWatch } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { clockText, readSkills, withPerson } from './shifts'

const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7]
const USUAL = { weekdays: EVERY_DAY, fromMin: 840, toMin: 1020 }
const STEP_MIN = 15
const DAY_MIN = 1440

type ShiftProps = {
  name: string
  staffId: string
  policy: MisePolicy
  onKeep: (policy: MisePolicy) => void
  onClose: () => void
}

/** A person's prep hours and skills. */
export function ShiftSheet({ name, staffId, policy, onKeep, onClose }: ShiftProps) {
  const t = useWords('mise')
  const known = policy.people.find((one) => one.staffId === staffId)
  const first = known?.shifts[0] ?? USUAL
  const form = useValidForm(
    z.object({ fromMin: z.number(), toMin: z.number(), skills: z.string().transform(readSkills) }),
    {
      fromMin: first.fromMin,
      toMin: first.toMin,
      skills: (known?.skills ?? []).join(', '),
    },
  )
  const [fromMin, toMin] = useWatch({ control: form.control, name: ['fromMin', 'toMin'] })
  const hours = { fromMin, toMin }
  const dial = (key: 'fromMin' | 'toMin', label: string, least: number, most: number) => {
    const move = (by: number) =>
      form.setValue(key, Math.min(most, Math.max(least, hours[key] + by)), { shouldDirty: true })
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
        <FormField control={form.control} name="skills" label={t('services.skills')} maxLength={120} />
        <Button
          isTall
          kind="main"
          label={t('services.save')}
          detail={t('services.hours', { from: clockText(hours.fromMin), to: clockText(hours.toMin) })}
          onPress={() =>
            void form.handleSubmit(({ skills, ...times }) =>
              onKeep(withPerson(policy, staffId, { shifts: [{ weekdays: EVERY_DAY, ...times }], skills })),
            )()
          }
        />
        <Button label={t('services.off')} onPress={() => onKeep(withPerson(policy, staffId, { shifts: [] }))} />
      </View>
    </Sheet>
  )
}
