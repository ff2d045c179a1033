import { useState } from 'react'
import { View } from 'react-native'
import { Button } from './Button'
import { Choice } from './Choice'
import { Sheet } from './Sheet'

/** One of many, or all of them: a button that says what is picked and opens the list. */
export function Pick<T extends string>(props: {
  label: string
  all: string
  of: readonly { id: T; name: string }[]
  picked: T | null
  onPick: (id: T | null) => void
}) {
  const { label, all, of, picked, onPick } = props
  const [isOpen, setIsOpen] = useState(false)
  const pick = (id: T | null) => {
    onPick(id)
    setIsOpen(false)
  }
  return (
    <>
      <Button
        size="body"
        label={label}
        detail={of.find((one) => one.id === picked)?.name ?? all}
        className="min-w-[104px] max-w-[190px]"
        onPress={() => setIsOpen(true)}
      />
      <Sheet title={label} isOpen={isOpen} onClose={() => setIsOpen(false)}>
        <View role="radiogroup" aria-label={label} className="-mx-2 flex-row flex-wrap">
          <Choice role="radio" label={all} isChosen={picked === null} onChoose={() => pick(null)} />
          {of.map(({ id, name }) => (
            <Choice key={id} role="radio" label={name} isChosen={id === picked} onChoose={() => pick(id)} />
          ))}
        </View>
      </Sheet>
    </>
  )
}
