import { STRENGTHS, type Strength, type Verdict } from 'core/book/taste/correct'
import { OneOf } from '../../ui/OneOf'
import { useWords } from '../../words/i18n'

/** What a spoonful says. */
export function VerdictChoice<T extends Verdict>(props: {
  among: readonly T[]
  /** Null until somebody has tasted. */
  verdict: T | null
  onVerdict: (verdict: T) => void
}) {
  const t = useWords('wok')
  return (
    <OneOf
      name={t('taste.says')}
      of={props.among}
      chosen={props.verdict}
      words={(one) => t(`taste.verdicts.${one}`)}
      onChoose={props.onVerdict}
    />
  )
}

/** How far off it tastes. */
export function StrengthChoice(props: { strength: Strength; onStrength: (strength: Strength) => void }) {
  const t = useWords('wok')
  return (
    <OneOf
      name={t('taste.howMuch')}
      of={STRENGTHS}
      chosen={props.strength}
      words={(one) => t(`taste.strength.${one}`)}
      onChoose={props.onStrength}
    />
  )
}
