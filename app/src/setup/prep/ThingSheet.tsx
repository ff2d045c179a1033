import type { MisePolicy } from 'contract/mise/house'
import { earlierPlace, withoutThing, withThing, type Listed } from 'core/mise/house/changeHouse'
import { View } from 'react-native'
import { z } from 'zod'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { useWords } from '../../words/i18n'
import { count } from '../house/figures'
import { useKeepPrep } from './usePrep'
import { useUsesOf } from './useUsesOf'

export type Thing = { id: string; name: string; count?: number }
type ThingProps = { list: Listed; thing: Thing | null; policy: MisePolicy; onClose: () => void }

/** A tool, a place or a line of the check: its name, and what stands on it before it goes. */
export function ThingSheet({ list, thing, policy, onClose }: ThingProps) {
  const t = useWords('setup')
  const schema = z.object({
    name: z.string().trim().min(1, t('prep.nameFault')).max(120),
    many: count(0, 50, t('prep.countFault')),
  })
  const form = useValidForm(schema, { name: thing?.name ?? '', many: String(thing?.count ?? 1) })
  const { keep, error, isPending } = useKeepPrep()
  const problem = useProblemSentence(error)
  const usesOf = useUsesOf(list, policy)
  const close = () => {
    form.reset()
    onClose()
  }
  const submit = form.handleSubmit(({ name, many }) =>
    keep(
      (house) => withThing(house, list, { id: thing?.id ?? '', name, count: many }),
      t('prep.saved', { name }),
      close,
    ),
  )
  return (
    <Sheet title={thing?.name ?? t(ADD[list])} isOpen onClose={close}>
      <View className="gap-3 pb-2">
        {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
        <FormField control={form.control} name="name" label={t('prep.name')} maxLength={120} />
        {list === 'equipment' && (
          <FormField control={form.control} name="many" label={t('prep.count')} inputMode="numeric" />
        )}
        <Button kind="main" label={t('prep.save')} isBusy={isPending} onPress={() => void submit()} />
        {thing && list === 'places' && policy.places[0]?.id !== thing.id && (
          <Button
            label={t('prep.earlier')}
            onPress={() => keep((house) => earlierPlace(house, thing.id), t('prep.saved', { name: thing.name }), close)}
          />
        )}
        {thing && (
          <HoldButton
            label={t('prep.remove', { name: thing.name })}
            detail={usesOf(thing.id) ?? t('prep.removeFree')}
            onHeld={() =>
              keep((house) => withoutThing(house, list, thing.id), t('prep.removed', { name: thing.name }), close)
            }
          />
        )}
      </View>
    </Sheet>
  )
}

/** What the button says that adds to a list. */
export const ADD = { equipment: 'prep.addEquipment', places: 'prep.addPlaces', checks: 'prep.addChecks' } as const
