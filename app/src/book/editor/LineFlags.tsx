import type { Flag } from 'core/book/ingredientLine/flags'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import type { DraftLine } from '../draft/draft'
import { useMassWords } from '../../setup/useMassWords'

const MAX_REPAIRS = 4

const NOTHING = { n: '', unit: '', not: '', system: '' }
const UNSAID = {
  name: '',
  unit: '',
  system: '',
  is: '',
  wanted: '',
  from: '',
  to: '',
  likely: '',
  n: '',
  not: '',
  percent: '',
  size: '',
  sizes: '',
}

/** Doubts that hold one mass against another. */
const isOfMasses = (code: Flag['code']) => code === 'two-volumes' || code === 'count-and-mass'

/** A doubt about a line in a sentence. */
export function useFlagWords(): (flag: Pick<Flag, 'code' | 'values'>) => string {
  const { mass } = useMassWords()
  const t = useWords('book')
  return ({ code, values }) => {
    const isLikely = code === 'wide-range' && values['likely'] !== ''
    const masses = isOfMasses(code) && { is: mass(Number(values['is'])), not: mass(Number(values['not'])) }
    return t(`editor.flags.${isLikely ? 'wide-range-likely' : code}`, { ...UNSAID, ...values, ...masses })
  }
}

/** What is odd about a line, beside it, with the ways to mend it and what each gives. */
export function LineFlags(props: { line: DraftLine; flags: readonly Flag[]; onRepair: (massG: number) => void }) {
  const { mass } = useMassWords()
  const { line, flags, onRepair } = props
  const t = useWords('book')
  const flagWords = useFlagWords()
  const isBlank = line.name.trim() === '' && line.written.trim() === ''
  if (flags.length === 0 || isBlank) return null
  return (
    <View aria-live="polite" className="gap-1 pl-8 pt-1">
      {flags.map((flag) => (
        <View key={flag.code} className="gap-1">
          <View className="flex-row items-start gap-1.5">
            <Diamond sizePx={16} />
            <Text size="small" weight="bold" stretch="slim" className="min-w-0 flex-1">
              {flagWords(flag)}
            </Text>
          </View>
          {flag.repairs.length > 0 && (
            <View className="flex-row flex-wrap gap-2">
              {flag.repairs.slice(0, MAX_REPAIRS).map((repair) => (
                <Button
                  key={repair.kind + repair.message}
                  size="body"
                  label={mass(repair.massG)}
                  detail={t(`editor.repairs.${repair.kind}`, {
                    ...NOTHING,
                    ...repair.values,
                    mass: mass(Number(repair.values['g'])),
                  })}
                  className="min-w-[150px] flex-1"
                  onPress={() => onRepair(repair.massG)}
                />
              ))}
            </View>
          )}
        </View>
      ))}
    </View>
  )
}
