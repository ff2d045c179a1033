import { Pressable } from 'react-native'
import { openSound } from '../device/signal'
import { Text } from './Text'

type ChoiceProps = {
  label: string
  isChosen: boolean
  /** Radio: one of several. Check: each for itself. */
  role: 'radio' | 'checkbox'
  /** A second, smaller line. */
  note?: string | undefined
  onChoose: () => void
  /** Its words begin at the left edge, as rows of a list do. */
  isRow?: boolean
  className?: string
}

/** A word to tap among others; the chosen one is bold and underlined, never a hue alone. */
export function Choice({ label, isChosen, role, note, onChoose, isRow = false, className = '' }: ChoiceProps) {
  const choose = () => {
    openSound()
    onChoose()
  }
  return (
    <Pressable
      role={role}
      aria-checked={isChosen}
      aria-label={note === undefined ? label : `${label}, ${note}`}
      onPress={choose}
      {...{ onKeyDown: bySpace(choose) }}
      className={`ring-focus min-h-14 min-w-14 justify-center px-3 ${isRow ? 'items-start' : 'items-center'} ${className}`}
    >
      <Text
        size="step"
        weight={isChosen ? 'bold' : 'normal'}
        tone={isChosen ? 'rice' : 'ash'}
        stretch="slim"
        className={`border-b-[3px] pb-1 ${isChosen ? 'border-rice' : 'border-transparent'}`}
      >
        {label}
      </Text>
      {note !== undefined && (
        <Text size="small" tone="ash" stretch="slim">
          {note}
        </Text>
      )}
    </Pressable>
  )
}

type Key = { key: string; repeat?: boolean; preventDefault: () => void }

/** The space bar chooses, as it does wherever there is a radio or a check; the interface library takes Enter only. */
const bySpace = (choose: () => void) => (event: Key) => {
  if (event.key !== ' ') return
  event.preventDefault()
  if (event.repeat !== true) choose()
}
