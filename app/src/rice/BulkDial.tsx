import { bulkUnitG, bulkUnitOf, shownBulk } from 'core/measure/scaleUnit'
import { useMassWords } from '../setup/useMassWords'
import { Dial } from '../ui/Dial'
import { useWords } from '../words/i18n'

type BulkDialProps = {
  name: string
  massG: number
  leastG: number
  mostG: number
  /** Hundredths on a scale, tenths by the eye. */
  isFine?: boolean
  onChange: (massG: number) => void
}

const STEP = { kg: { fine: 0.05, coarse: 0.1 }, lb: { fine: 0.1, coarse: 0.2 } } as const

/** A mass of rice, dialled in the unit of this kitchen's scales. */
export function BulkDial({ name, massG, leastG, mostG, isFine = false, onChange }: BulkDialProps) {
  const t = useWords('rice')
  const { weighsIn } = useMassWords()
  const unit = bulkUnitOf(weighsIn)
  const inUnit = (grams: number) => Number(shownBulk(grams, weighsIn, 2).figures)
  return (
    <Dial
      name={name}
      lessLabel={t('less', { what: name })}
      moreLabel={t('moreOf', { what: name })}
      value={inUnit(massG)}
      least={inUnit(leastG)}
      most={inUnit(mostG)}
      step={STEP[unit][isFine ? 'fine' : 'coarse']}
      unit={unit}
      onChange={(value) => onChange(Math.round(value * bulkUnitG(weighsIn)))}
    />
  )
}
