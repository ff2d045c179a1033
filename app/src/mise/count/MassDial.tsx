import { fineUnitG, bulkUnitG, shownMass } from 'core/measure/scaleUnit'
import { useMassWords } from '../../setup/useMassWords'
import { Dial } from '../../ui/Dial'

const ROUNDS = {
  g: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000],
  oz: [0.05, 0.1, 0.2, 0.5, 1],
  lb: [0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10],
} as const
/** Taps from nothing to what is looked for. */
const STEPS = 50

/** The round figure that a tap moves a mass of this size by [g]. */
export function roundStep(aroundG: number, weighsIn: 'g' | 'oz') {
  const unit = weighsIn === 'oz' && shownMass(aroundG, weighsIn).unit === 'lb' ? 'lb' : weighsIn
  const unitG = unit === 'lb' ? bulkUnitG(weighsIn) : fineUnitG(weighsIn)
  const rounds: readonly number[] = ROUNDS[unit]
  const step = rounds.find((one) => one * STEPS * unitG >= aroundG) ?? rounds.at(-1) ?? 1
  return { unit, unitG, step }
}

/** A mass, dialled in the unit and the steps that suit how much of it there is. */
export function MassDial(props: {
  name: string
  massG: number
  aroundG: number
  mostG: number
  onChange: (massG: number) => void
}) {
  const { name, massG, aroundG, mostG, onChange } = props
  const { weighsIn } = useMassWords()
  const { unit, unitG, step } = roundStep(aroundG, weighsIn)
  const inUnit = (grams: number) => Math.round((grams / unitG) * 100) / 100
  return (
    <Dial
      name={name}
      value={inUnit(massG)}
      least={0}
      most={inUnit(mostG)}
      step={step}
      unit={unit}
      lessLabel={`${name}: −${step} ${unit}`}
      moreLabel={`${name}: +${step} ${unit}`}
      onChange={(value) => onChange(Math.round(value * unitG * 10) / 10)}
    />
  )
}
