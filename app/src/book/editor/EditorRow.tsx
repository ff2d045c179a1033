import type { MeasureTools } from 'core/measure/practical'
import { practicalMeasure } from 'core/measure/practical'
import { densityFor } from 'core/measure/ingredient'
import { parseLine } from 'core/book/ingredientLine/parseLine'
import ChevronUp from 'lucide-react-native/icons/chevron-up'
import Ellipsis from 'lucide-react-native/icons/ellipsis'
import { memo } from 'react'
import { Pressable, TextInput, View } from 'react-native'
import { useMeasureWords } from '../../ui/measureWords'
import { Icon } from '../../ui/icons'
import { SortableHandle, useSortableRow } from '../../ui/sortable'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { gramsText, type DraftLine } from '../draft/draft'
import type { DraftStore } from '../draft/draftStore'
import type { Edit } from '../draft/history'
import { LineFlags } from './LineFlags'
import { roleOf, type ReadLine } from '../draft/readLines'
import { cutHintFor } from './cutHint'
import { useLine } from '../draft/useHistory'
import { writeQuantity } from 'core/measure/writeNumber'
import { useMassWords } from '../../setup/useMassWords'

type EditorRowProps = {
  /** The line as the page last saw it; the row follows what is typed in the store. */
  seen: DraftLine
  store: DraftStore
  read: (line: DraftLine) => ReadLine
  index: number
  riceG: number | null
  tools: MeasureTools
  isOpen: boolean
  isWide: boolean
  edit: (edit: Edit) => void
  onOpen: (key: string | null) => void
}

const INPUT = 'ring-focus min-h-14 rounded-lg border border-line bg-ground px-2.5 font-sans text-step text-rice'

/** A line of the editor: what and how much as it is typed, and at once grams, ratio and the kitchen's own measure. */
export const EditorRow = memo(function EditorRow(props: EditorRowProps) {
  const { seen, store, index, isOpen, isWide, edit, onOpen } = props
  const t = useWords('book')
  const line = useLine(store, seen)
  const read = props.read(line)
  const { row, handle } = useSortableRow(line.key)
  const n = index + 1
  const hint = cutHintFor(roleOf(line, read))
  const change = (changes: Partial<DraftLine>) => edit({ kind: 'line', key: line.key, changes })
  const moveKeys = {
    onKeyDownCapture: (event: { key: string; altKey: boolean; preventDefault: () => void }) => {
      const by = event.altKey ? { ArrowUp: -1, ArrowDown: 1 }[event.key] : undefined
      if (by === undefined) return
      event.preventDefault()
      edit({ kind: 'move', key: line.key, to: index + by })
    },
    dataSet: { row: line.key },
  }
  const name = (
    <TextInput
      aria-label={t('editor.lineName', { n })}
      value={line.name}
      placeholder={t('editor.nameHint')}
      maxLength={120}
      onChangeText={(text) => change({ name: text, ingredientId: null, recipeId: null })}
      onBlur={() => splitAmount(line, change)}
      className={`${INPUT} min-w-0 flex-1`}
    />
  )
  const amount = (
    <TextInput
      aria-label={t('editor.lineAmount', { n })}
      value={line.written}
      placeholder={t('editor.amountHint')}
      maxLength={80}
      onChangeText={(text) => change({ written: text })}
      className={`${INPUT} ${isWide ? 'w-[132px]' : 'w-[118px]'} font-bold`}
    />
  )
  const cut = (
    <TextInput
      aria-label={t('editor.lineCut', { n })}
      value={line.cut}
      placeholder={hint ? t(`editor.cutHints.${hint}`) : t('editor.noCut')}
      maxLength={160}
      onChangeText={(text) => change({ cut: text })}
      className={`${INPUT} ${isWide ? 'w-[132px]' : 'min-w-0 flex-1'}`}
    />
  )
  return (
    <View role="listitem" className="border-b border-edge bg-ground py-1" {...row} {...moveKeys}>
      <View className="flex-row items-center gap-2">
        <SortableHandle handle={handle} label={t('editor.move', { name: line.name || String(n) })} />
        {name}
        {amount}
        {isWide && <Figures {...props} line={line} is={read} />}
        {isWide && cut}
        <Pressable
          role="button"
          aria-label={t('editor.more', { name: line.name || String(n) })}
          aria-expanded={isOpen}
          onPress={() => onOpen(isOpen ? null : line.key)}
          className="ring-focus min-h-14 w-10 items-center justify-center rounded-lg active:bg-plate"
        >
          <Icon as={isOpen ? ChevronUp : Ellipsis} sizePx={24} color="rgb(var(--rice))" />
        </Pressable>
      </View>
      {!isWide && (
        <View className="flex-row items-center gap-2 pl-8 pt-1">
          <Figures {...props} line={line} is={read} />
        </View>
      )}
      {!isWide && isOpen && <View className="flex-row pl-8 pt-1">{cut}</View>}
      <LineFlags line={line} flags={read.flags} onRepair={(massG) => change({ written: gramsText(massG) })} />
    </View>
  )
})

/** "2 tbsp soy" typed where the name belongs: the amount moves over. */
function splitAmount(line: DraftLine, change: (changes: Partial<DraftLine>) => void): void {
  if (line.written.trim() !== '') return
  const parsed = parseLine(line.name, 'us')
  if (parsed.kind !== 'ingredient' || parsed.quantity === null || parsed.ingredient === '') return
  const unit = [parsed.size, parsed.unit].filter(Boolean).join(' ') || null
  change({
    written: writeQuantity(parsed.quantity, parsed.quantityMax, unit),
    name: parsed.ingredient,
    ...(parsed.prep !== null && line.cut === '' && { cut: parsed.prep }),
  })
}

function Figures(props: EditorRowProps & { line: DraftLine; is: ReadLine }) {
  const { mass } = useMassWords()
  const { line, is: read, riceG, tools, isWide } = props
  const t = useWords('book')
  const measureWords = useMeasureWords()
  const { massG, source } = read
  if (massG === null || !(massG > 0))
    return (
      <Text size="small" tone="ash" stretch="slim" className={isWide ? 'w-[220px]' : 'flex-1'}>
        {t('editor.noMass')}
      </Text>
    )
  const role = roleOf(line, read)
  const density = source && densityFor(source, line.cut || line.written)
  const size = role === 'egg' ? source?.countSizes.find((one) => one.size.endsWith('large')) : undefined
  const measure = practicalMeasure(
    {
      massG,
      isSalty: role === 'drySeasoning' || role === 'liquidSeasoning' || role === 'paste',
      isPourable: role === 'liquidSeasoning' || role === 'fat' || role === 'egg' || role === 'paste',
      ...(density && { gPerML: density.gPerML }),
      ...(size && { count: { size: 'egg', massG: size.massG } }),
    },
    tools,
  )
  const ratio = riceG === null ? '' : t('editor.ratio', { g: ratioText((massG / riceG) * 100) })
  return (
    <View className={`flex-row items-baseline gap-2 ${isWide ? 'w-[220px]' : 'min-w-0 flex-1'}`}>
      <Text weight="bold" stretch="narrow" className="w-[62px] text-right">
        {mass(massG)}
      </Text>
      <Text size="small" stretch="narrow" className="w-[88px]">
        {ratio}
      </Text>
      <Text size="small" tone="ash" stretch="slim" className="min-w-0 flex-1">
        {measureWords(measure) ?? t('dish.weigh')}
      </Text>
    </View>
  )
}

const ratioText = (value: number) => (value >= 10 ? value.toFixed(1) : value.toFixed(2))
