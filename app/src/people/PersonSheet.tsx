import { needsPin } from 'core/people/roles'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { useIsReachable } from '../device/network'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Notice } from '../ui/Notice'
import { lazyScreen } from '../ui/lazyScreen'
import { Sheet } from '../ui/Sheet'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { Keypad, LEAST_FIGURES, MOST_FIGURES } from './Keypad'
import { useMe } from './me'
import { useSignIn, useSignOut } from './useDoor'

const RecoverForm = lazyScreen([], async () => (await import('../screens')).RecoverForm)

/** Who is at this device: a name, and a PIN where the role needs one. Whoever was here stays until it is right. */
export function PersonSheet(props: { isOpen: boolean; onClose: () => void; onChanged?: (() => void) | undefined }) {
  const { isOpen, onClose, onChanged } = props
  const t = useWords('people')
  const done = () => {
    onClose()
    onChanged?.()
  }
  return (
    <Sheet title={t('who.title')} isOpen={isOpen} onClose={onClose}>
      {isOpen && <Persons onDone={done} />}
    </Sheet>
  )
}

function Persons({ onDone }: { onDone: () => void }) {
  const t = useWords('people')
  const me = useMe()
  const staff = useKitchen().data?.staff ?? []
  const isReachable = useIsReachable()
  const [chosen, setChosen] = useState<string | null>(null)
  const [isForgotten, setIsForgotten] = useState(false)
  const [pin, setPin] = useState('')
  const signIn = useSignIn()
  const signOut = useSignOut()
  const problem = useProblemSentence(signIn.error ?? signOut.error)
  const person = staff.find(({ id }) => id === chosen)
  const enter = (staffId: string, typed: string | null) => {
    if (signIn.isPending) return
    signIn.mutate(
      { staffId, pin: typed },
      {
        onSuccess: ({ person: now }) => {
          toast(t('who.signedIn', { name: now?.name ?? '' }))
          onDone()
        },
        onError: () => setPin(''),
      },
    )
  }
  const choose = (id: string) => {
    setPin('')
    signIn.reset()
    const one = staff.find((other) => other.id === id)
    setChosen(id)
    if (one && !needsPin(one.role)) enter(id, null)
  }
  const enterPin = () => person && pin.length >= LEAST_FIGURES && enter(person.id, pin)
  useTypedFigures(person !== undefined && needsPin(person.role) && !isForgotten, (key) => {
    if (key === 'Enter') enterPin()
    else if (key === 'Backspace') setPin((typed) => typed.slice(0, -1))
    else setPin((typed) => (typed.length < MOST_FIGURES ? typed + key : typed))
  })
  return (
    <View className="gap-2 pb-2">
      {!isReachable && <Notice kind="conflict" isSmall title={t('who.offline')} />}
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <View role="radiogroup" aria-label={t('who.title')} className="-ml-3 flex-row flex-wrap pt-1">
        {staff.map((one) => (
          <Choice
            key={one.id}
            role="radio"
            label={one.name}
            note={t(`who.roles.${one.role}`)}
            isChosen={one.id === (chosen ?? me?.person?.id)}
            onChoose={() => choose(one.id)}
          />
        ))}
      </View>
      {isForgotten ? (
        <RecoverForm onDone={() => setIsForgotten(false)} />
      ) : (
        person &&
        needsPin(person.role) && (
          <>
            <Text weight="semi" className="text-center">
              {t('who.pinOf', { name: person.name })}
            </Text>
            <Keypad pin={pin} onChange={setPin} onEnter={enterPin} isBusy={signIn.isPending} />
            {me?.person && me.person.id !== person.id && (
              <Text tone="ash">{t('who.stays', { name: me.person.name })}</Text>
            )}
            <Button size="body" label={t('who.forgotten')} onPress={() => setIsForgotten(true)} />
          </>
        )
      )}
      {me?.person && chosen === null && (
        <Button
          label={t('who.signOut', { name: me.person.name })}
          detail={t('who.signOutDetail')}
          isBusy={signOut.isPending}
          onPress={() =>
            signOut.mutate(undefined, {
              onSuccess: () => {
                toast(t('who.signedOut'))
                onDone()
              },
            })
          }
        />
      )}
    </View>
  )
}

/** Figures, Backspace and Enter of a keyboard, while the keypad is on screen. */
function useTypedFigures(isOn: boolean, onKey: (key: string) => void): void {
  useEffect(() => {
    if (!isOn) return
    const listen = (event: KeyboardEvent) => {
      const isButton = event.key === 'Enter' && (event.target as HTMLElement).getAttribute('role') === 'button'
      if (isButton || !/^(\d|Enter|Backspace)$/.test(event.key)) return
      // A name that has the focus would take Enter for a choice.
      event.preventDefault()
      event.stopPropagation()
      onKey(event.key)
    }
    document.addEventListener('keydown', listen, true)
    return () => document.removeEventListener('keydown', listen, true)
  })
}
