import { useState } from 'react'
import { useMassWords } from '../../setup/useMassWords'
import { Field } from '../../ui/Field'
import { typedGrams } from '../../ui/form/typedUnit'

type MassFieldProps = {
  /** The label names the unit that is typed. */
  labelOf: (unit: string) => string
  massG: number
  mostG?: number
  className?: string
  onChange: (massG: number) => void
}

/** Grams of a dish, typed as the kitchen's scales show them; what is not a number is nothing yet. */
export function MassField({
  labelOf,
  massG,
  mostG = Number.MAX_SAFE_INTEGER,
  className = '',
  onChange,
}: MassFieldProps) {
  const { weighsIn } = useMassWords()
  const unit = typedGrams(weighsIn)
  const [typed, setTyped] = useState<string | null>(null)
  const read = (text: string) => Math.min(mostG, Math.max(0, unit.read(Number(text.trim().replace(',', '.')) || 0)))
  // What is typed stands as long as it means what is there: after an undo it does not.
  const text = typed !== null && Math.abs(read(typed) - massG) < 1e-6 ? typed : massG === 0 ? '' : unit.show(massG)
  return (
    <Field
      label={labelOf(weighsIn)}
      value={text}
      inputMode="decimal"
      className={className}
      onChange={(next) => {
        setTyped(next)
        onChange(read(next))
      }}
    />
  )
}
