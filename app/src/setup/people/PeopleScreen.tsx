import type { Person } from 'contract/people'
import { needsPin, ROLES } from 'core/people/roles'
import { useState } from 'react'
import { Controller } from 'react-hook-form'
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
import { useAddPerson, useChangePerson, usePeople, useRecovery, useRemovePerson, useSetPin } from './usePeople'
import { HousePage } from '../house/HousePage'
import { Asked } from './Asked'

/** Everybody who works here, what each may do, and their PINs; for owners. */
export function PeopleScreen() {
  const t = useWords('people')
  const isOwner = useMay('people')
  const people = usePeople()
  const recovery = useRecovery()
  const [open, setOpen] = useState<Person | 'new' | null>(null)
  const problem = useProblemSentence(recovery.error)
  return (
    <HousePage
      title={t('setup.people')}
      bar={isOwner && <Button kind="main" isTall label={t('setup.add')} onPress={() => setOpen('new')} />}
    >
      <Asked mayRead={isOwner} otherwise={t('setup.ownerOnly')} query={people} data={people.data}>
        {({ people: all }) => (
          <>
            <View role="list">
              {all.map((one) => (
                <View key={one.id} role="listitem" className="mb-2">
                  <Button
                    label={one.name}
                    detail={`${t(`who.roles.${one.role}`)} · ${t(pinState(one))}`}
                    onPress={() => setOpen(one)}
                  />
                </View>
              ))}
            </View>
            <Button className="hidden md:flex" label={t('setup.add')} onPress={() => setOpen('new')} />
            {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
            {recovery.data ? (
              <Notice kind="hazard" title={recovery.data.code}>
                {t('setup.recoveryShown')}
              </Notice>
            ) : (
              <Button
                label={t('setup.recovery')}
                detail={t('setup.recoveryDetail')}
                isBusy={recovery.isPending}
                onPress={() => recovery.mutate()}
              />
            )}
          </>
        )}
      </Asked>
      <Sheet
        title={open === null || open === 'new' ? t('setup.add') : open.name}
        isOpen={open !== null}
        onClose={() => setOpen(null)}
      >
        {open !== null && <PersonForm person={open === 'new' ? null : open} onDone={() => setOpen(null)} />}
      </Sheet>
    </HousePage>
  )
}

const pinState = ({ role, hasPin }: Person) =>
  !needsPin(role) ? 'setup.needsNone' : hasPin ? 'setup.hasPin' : 'setup.noPin'

function PersonForm({ person, onDone }: { person: Person | null; onDone: () => void }) {
  const t = useWords('people')
  const schema = z.object({ name: z.string().trim().min(1, t('setup.nameFault')).max(120), role: z.enum(ROLES) })
  const form = useValidForm(schema, { name: person?.name ?? '', role: person?.role ?? 'cook' })
  const add = useAddPerson()
  const change = useChangePerson()
  const remove = useRemovePerson()
  const problem = useProblemSentence(add.error ?? change.error ?? remove.error)
  const save = form.handleSubmit((draft) => {
    const was = person && { name: person.name, role: person.role }
    const onSuccess = () => {
      toast(
        t('setup.saved', { name: draft.name }),
        person && was ? () => change.mutate({ id: person.id, ...was, was: draft }) : undefined,
      )
      form.reset(draft)
      onDone()
    }
    if (person && was) change.mutate({ id: person.id, ...draft, was }, { onSuccess })
    else add.mutate(draft, { onSuccess })
  })
  return (
    <View className="gap-3 pb-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('setup.name')} maxLength={120} />
      <Controller
        control={form.control}
        name="role"
        render={({ field }) => (
          <View>
            <OneOf
              name={t('setup.role')}
              of={ROLES}
              chosen={field.value}
              words={(role) => t(`who.roles.${role}`)}
              onChoose={field.onChange}
            />
            <Text tone="ash">{t(`setup.rolesMay.${field.value}`)}</Text>
          </View>
        )}
      />
      <Button label={t('setup.save')} isBusy={add.isPending || change.isPending} onPress={() => void save()} />
      {person && needsPin(person.role) && <PinForm person={person} onDone={onDone} />}
      {person && (
        <HoldButton
          label={t('setup.remove', { name: person.name })}
          detail={t('setup.removeDetail')}
          onHeld={() =>
            remove.mutate(person.id, {
              onSuccess: () => {
                toast(t('setup.removed', { name: person.name }))
                onDone()
              },
            })
          }
        />
      )}
    </View>
  )
}

function PinForm({ person, onDone }: { person: Person; onDone: () => void }) {
  const t = useWords('people')
  const form = useValidForm(z.object({ pin: z.string().regex(/^\d{4,8}$/, t('setup.pinFault')) }), { pin: '' })
  const set = useSetPin()
  const problem = useProblemSentence(set.error)
  return (
    <View className="gap-2 border-t border-edge pt-3">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="pin" label={t('setup.pin')} inputMode="numeric" maxLength={8} />
      <Button
        label={t('setup.setPin')}
        isBusy={set.isPending}
        onPress={() =>
          void form.handleSubmit(({ pin }) =>
            set.mutate(
              { id: person.id, pin },
              {
                onSuccess: () => {
                  toast(t('setup.pinSet', { name: person.name }))
                  form.reset({ pin: '' })
                  onDone()
                },
              },
            ),
          )()
        }
      />
    </View>
  )
}
