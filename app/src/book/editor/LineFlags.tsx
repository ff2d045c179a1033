import type { Flag } from 'core/mise/line/weighLine'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { formatMassG } from '../../words/format'
import { capital } from '../../words/format'
import type { DraftLine } from './draft'

const MOST_REPAIRS = 4

/** What is odd about a line, beside it, with the ways to mend it and what each gives. */
export function LineFlags(props: { line: DraftLine; flags: readonly Flag[]; onRepair: (massG: number) => void }) {
  const { line, flags, onRepair } = props
  const isBlank = line.name.trim() === '' && line.amount.trim() === ''
  if (flags.length === 0 || isBlank) return null
  return (
    <View aria-live="polite" className="gap-1 pl-8 pt-1">
      {flags.map((flag) => (
        <View key={flag.code} className="gap-1">
          <View className="flex-row items-start gap-1.5">
            <Diamond sizePx={16} />
            <Text size="small" weight="bold" stretch="slim" className="min-w-0 flex-1">
              {capital(flag.message)}
            </Text>
          </View>
          {flag.repairs.length > 0 && (
            <View className="flex-row flex-wrap gap-2">
              {flag.repairs.slice(0, MOST_REPAIRS).map((repair) => (
                <Button
                  key={repair.kind + repair.message}
                  size="body"
                  label={formatMassG(repair.massG)}
                  detail={repair.message}
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
