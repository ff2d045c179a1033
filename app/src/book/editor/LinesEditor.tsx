import type { MeasureTools } from 'core/measure/practical'
import type { MeasureSystem } from 'core/measure/units'
import { Fragment, memo, useCallback, useEffect, useEffectEvent, useRef, useState } from 'react'
import { View } from 'react-native'
import { newId } from '../../device/ids'
import { Button } from '../../ui/Button'
import { Sortable } from '../../ui/sortable'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import type { Shelf } from '../useShelf'
import { blankLine, gramsText, type DraftLine } from '../draft/draft'
import type { DraftStore } from '../draft/draftStore'
import { EditorRow } from './EditorRow'
import type { Edit } from '../draft/history'
import { PasteSheet } from './sheets/PasteSheet'
import { MAX_LINES, pastedLines } from '../draft/pasteLines'
import { lineReader, type ReadLine } from '../draft/readLines'
import { RowTools } from './RowTools'

type Props = {
  lines: readonly DraftLine[]
  store: DraftStore
  read: (line: DraftLine) => ReadLine
  riceG: number | null
  shelf: Shelf
  tools: MeasureTools
  isRecipe?: boolean
  edit: (edit: Edit) => void
}

/** The lines of a dish or a sub-recipe: typed, pasted as a whole list, dragged, moved by keyboard. */
export const LinesEditor = memo(function LinesEditor({
  lines,
  store,
  read,
  riceG,
  shelf,
  tools,
  isRecipe = false,
  edit,
}: Props) {
  const t = useWords('book')
  const isWide = useIsWide()
  const [openKey, setOpenKey] = useState<string | null>(null)
  const [isPasting, setIsPasting] = useState(false)
  const [fault, setFault] = useState<string | undefined>()

  const take = useCallback(
    (text: string, system: MeasureSystem, afterKey: string | null): string | null => {
      const pasted = pastedLines(text, system, newId)
      if (pasted.kind === 'nothing') return t('editor.pasteNothing')
      if (pasted.kind === 'too-much') return t('editor.pasteTooMuch', { lines: pasted.lines, most: MAX_LINES })
      const inKitchen = system === tools.system ? pasted.lines : inGrams(pasted.lines, shelf, system)
      edit({ kind: 'insert', afterKey, lines: inKitchen })
      if (pasted.headings.length > 0) toast(t('editor.pasteHeadings', { list: pasted.headings.join(', ') }))
      return null
    },
    [edit, shelf, t, tools.system],
  )
  const list = useRef<View>(null)
  const onPaste = useEffectEvent((event: ClipboardEvent) => {
    const text = event.clipboardData?.getData('text/plain') ?? ''
    const row = (event.target as Element).closest<HTMLElement>('[data-row]')?.dataset['row']
    if (!/[\r\n]/.test(text.trim()) || row === undefined) return
    event.preventDefault()
    const problem = take(text, tools.system, row)
    if (problem) toast(problem)
  })
  useEffect(() => {
    const node = list.current as unknown as HTMLElement | null
    const heard = (event: ClipboardEvent) => onPaste(event)
    node?.addEventListener('paste', heard)
    return () => node?.removeEventListener('paste', heard)
  }, [])
  return (
    <View>
      <View role="list" ref={list}>
        <Sortable
          ids={lines.map((line) => line.key)}
          nameOf={(key) => lines.find((line) => line.key === key)?.name ?? ''}
          onMove={(key, to) => edit({ kind: 'move', key, to })}
        >
          {lines.map((line, index) => (
            <Fragment key={line.key}>
              <EditorRow
                seen={line}
                store={store}
                read={read}
                index={index}
                riceG={riceG}
                tools={tools}
                isOpen={openKey === line.key}
                isWide={isWide}
                edit={edit}
                onOpen={setOpenKey}
              />
              {openKey === line.key && (
                <View role="listitem">
                  <RowTools line={line} read={read(line)} shelf={shelf} riceG={riceG} isRecipe={isRecipe} edit={edit} />
                </View>
              )}
            </Fragment>
          ))}
        </Sortable>
      </View>
      <View className="flex-row gap-2 pt-2">
        <Button
          label={t('editor.addLine')}
          className="flex-1"
          onPress={() => edit({ kind: 'insert', afterKey: null, lines: [blankLine(newId())] })}
        />
        <Button label={t('editor.paste')} className="flex-1" onPress={() => setIsPasting(true)} />
      </View>
      {isPasting && (
        <PasteSheet
          system={tools.system}
          fault={fault}
          onClose={() => {
            setIsPasting(false)
            setFault(undefined)
          }}
          onTake={(text, system) => {
            const problem = take(text, system, null)
            setFault(problem ?? undefined)
            if (!problem) setIsPasting(false)
          }}
        />
      )}
    </View>
  )
})

/** Lines of another measure system, weighed by it: the kitchen's own spoons are worked out from grams. */
function inGrams(lines: readonly DraftLine[], shelf: Shelf, system: MeasureSystem): DraftLine[] {
  const read = lineReader(shelf, system)
  return lines.map((line) => {
    const { massG } = read(line)
    return massG === null ? line : { ...line, written: gramsText(massG) }
  })
}
