import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { Style } from 'core/book/balance/style'
import { useCallback, useEffect, useEffectEvent, useMemo, type ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { useDishes } from '../useDishes'
import { useIsFresh } from '../useIsFresh'
import { useShelf, useStyles, type Shelf } from '../useShelf'
import { ConflictSheet } from './sheets/ConflictSheet'
import { dishOfDraft, draftOfDish, gramsText } from '../draft/draft'
import { EditorBalance } from './EditorBalance'
import { HeadFields } from './HeadFields'
import { SchoolFields } from './SchoolFields'
import { LinesEditor } from './LinesEditor'
import { componentsOf, lineReader, riceMassOf } from '../draft/readLines'
import { ScoreEditor } from './score/ScoreEditor'
import { TakeOut } from './TakeOut'
import { UndoBar } from './UndoBar'
import { useSaveBlock } from './saveBlock'
import { useSaveDish } from './useSaveDish'
import { useTakeRepair } from './useTakeRepair'
import { useEditor } from '../draft/useEditor'
import { VariationFields } from './VariationFields'
import { newId } from '../../device/ids'

type Preset = { componentId: string; massG: number }

/** A dish being written: `id` null for a new one. `preset` sets one amount to begin with, as a proposal. */
export function EditorScreen({ id, preset }: { id: string | null; preset: Preset | null }) {
  const t = useWords('book')
  const book = useDishes()
  const kitchen = useKitchen()
  const { shelf, error, refetch } = useShelf()
  const styles = useStyles()
  const isFresh = useIsFresh(book)
  const dish = book.data?.dishes.find((one) => one.id === id) ?? null
  const fault = book.error ?? kitchen.error ?? error ?? styles.error
  // What this device remembers may be old: an edit begins from what the kitchen says now, or from memory without a network.
  const isReady = book.data && isFresh && kitchen.data && shelf && styles.data
  if (!isReady) {
    return (
      <Frame stage="book">
        {fault && !book.data ? (
          <Problem error={fault} onRetry={() => [book.refetch(), kitchen.refetch(), styles.refetch(), refetch()]} />
        ) : (
          <Loading what={t('loading')} />
        )}
      </Frame>
    )
  }
  return (
    <Editor
      dish={dish}
      dishes={book.data.dishes}
      kitchen={kitchen.data}
      shelf={shelf}
      styles={styles.data.styles}
      preset={preset}
    />
  )
}

type EditorProps = {
  dish: Dish | null
  dishes: readonly Dish[]
  kitchen: Kitchen
  shelf: Shelf
  styles: readonly Style[]
  preset: Preset | null
}

function Editor({ dish, dishes, kitchen, shelf, styles, preset }: EditorProps) {
  const t = useWords('book')
  const isWide = useIsWide()
  const editor = useEditor(dish, kitchen.currency)
  const { draft, store, base, edit } = editor
  const read = useMemo(() => lineReader(shelf, kitchen.tools.system), [shelf, kitchen.tools.system])
  const riceG = riceMassOf(draft.lines, read)
  const foodOfRecipe = useCallback((recipeId: string) => shelf.recipes.get(recipeId)?.food, [shelf])
  const components = useMemo(() => componentsOf(draft.lines, read, foodOfRecipe), [draft.lines, read, foodOfRecipe])
  const style = styles.find((one) => one.id === draft.head.style) ?? styles[0]

  const setPreset = useEffectEvent(() => {
    const line = preset && draft.lines.find((one) => one.componentId === preset.componentId)
    if (line) edit({ kind: 'line', key: line.key, changes: { written: gramsText(preset.massG) } })
  })
  useEffect(() => setPreset(), [])

  const blocked = useSaveBlock(draft, read, riceG, kitchen.currency)
  const { save, theirs, setTheirs, failure, isSaving } = useSaveDish(editor.done)
  const wanted = () => {
    const { head, lines } = store.history.present
    return dishOfDraft(head, componentsOf(lines, read, foodOfRecipe), kitchen.currency, base?.id ?? null)
  }
  const bar = (
    <View className="flex-1 flex-row items-stretch gap-2">
      <UndoBar editor={editor} />
      <Button
        kind="main"
        label={t('editor.save')}
        className="flex-1"
        isBusy={isSaving}
        disabledBecause={blocked}
        onPress={() => void save(wanted(), base?.version ?? 0)}
      />
    </View>
  )
  const written = useMemo(
    () => ({ ...dishOfDraft(draft.head, components, kitchen.currency, base?.id ?? null), version: 1 }),
    [draft.head, components, kitchen.currency, base?.id],
  )
  const score = components.some(({ role }) => role === 'rice') && (
    <ScoreEditor
      dish={written}
      kitchen={kitchen}
      onChange={(change) => edit({ kind: 'head', changes: change(store.history.present.head) })}
    />
  )
  const takeRepair = useTakeRepair(editor, read, foodOfRecipe)
  const balance = style && (
    <EditorBalance
      head={draft.head}
      components={components}
      shelf={shelf}
      style={style}
      currency={kitchen.currency}
      onTake={takeRepair}
    />
  )
  return (
    <Frame stage="book" bar={bar}>
      <View className="min-h-0 flex-1 flex-row" {...{ onKeyDownCapture: undoKeys(editor) }}>
        <ScrollView tabIndex={0} className="min-h-0 flex-1">
          <View className="w-full max-w-5xl gap-3 self-center p-4">
            <EditorHead {...{ dish, dishes, editor, failure, bar: isWide ? bar : null }} />
            <HeadFields store={store} edit={edit} currency={kitchen.currency} />
            <LinesEditor
              lines={draft.lines}
              store={store}
              read={read}
              riceG={riceG}
              shelf={shelf}
              tools={kitchen.tools}
              edit={edit}
            />
            {!isWide && balance}
            <SchoolFields store={store} styles={styles} edit={edit} />
            {score}
            <VariationFields head={draft.head} components={components} shelf={shelf} edit={edit} />
            {dish && <TakeOut dish={dish} onDone={editor.done} />}
          </View>
        </ScrollView>
        {isWide && <Aside>{balance}</Aside>}
      </View>
      {theirs && base && (
        <ConflictSheet
          base={base}
          mine={wanted()}
          theirs={theirs}
          onClose={() => setTheirs(null)}
          onSave={(merged) => void save(merged, theirs.version)}
          onTheirs={() => {
            takeTheirs(editor, theirs, kitchen.currency)
            setTheirs(null)
          }}
        />
      )}
    </Frame>
  )
}

const Aside = ({ children }: { children: ReactNode }) => (
  <View className="min-h-0 w-[360px] border-l border-edge">
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="p-4">{children}</View>
    </ScrollView>
  </View>
)

/** What somebody else saved meanwhile, in place of what was typed here. */
function takeTheirs({ edit, rebase }: ReturnType<typeof useEditor>, theirs: Dish, currency: Kitchen['currency']): void {
  edit({ kind: 'all', draft: draftOfDish(theirs, currency, newId) })
  rebase(theirs)
}

type HeadProps = {
  dish: Dish | null
  dishes: readonly Dish[]
  editor: ReturnType<typeof useEditor>
  failure: Error | null
  bar: ReactNode
}

/** What is edited, what was kept of it on this device, and what went wrong. */
function EditorHead({ dish, dishes, editor, failure, bar }: HeadProps) {
  const t = useWords('book')
  const { base } = editor
  const sentence = useProblemSentence(failure)
  return (
    <>
      <View className="flex-row flex-wrap items-center gap-3">
        <PageHeading size="title" weight="bold" stretch="slim" className="min-w-0 flex-1">
          {dish ? t('editor.title', { dish: dish.name }) : t('editor.newTitle')}
        </PageHeading>
        {bar && <View className="w-[330px] flex-row">{bar}</View>}
      </View>
      {editor.isKept && (
        <View className="flex-row flex-wrap items-center gap-3">
          <Text className="min-w-0 flex-1">{t('editor.kept')}</Text>
          <Button size="body" label={t('editor.discard')} onPress={editor.discard} />
        </View>
      )}
      {dishes.every((one) => one.id !== base?.id) && base && (
        <Notice kind="conflict" isSmall title={t('editor.gone')} />
      )}
      {failure && <Notice kind="conflict" isSmall title={sentence} />}
    </>
  )
}

type KeyPress = { key: string; ctrlKey: boolean; metaKey: boolean; shiftKey: boolean; preventDefault: () => void }

/** Undo and redo by keyboard, whichever field has the focus. */
const undoKeys =
  ({ edit }: Pick<ReturnType<typeof useEditor>, 'edit'>) =>
  (event: KeyPress) => {
    if (!event.ctrlKey && !event.metaKey) return
    const key = event.key.toLowerCase()
    const kind = key === 'y' || (key === 'z' && event.shiftKey) ? 'redo' : key === 'z' ? 'undo' : null
    if (!kind) return
    event.preventDefault()
    edit({ kind })
  }
