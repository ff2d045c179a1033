import type { Dish, DishDraft } from 'contract/dish'
import { changesBetween, mergeDishes } from 'core/book/compareDish'
import { View } from 'react-native'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Sheet'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'
import { useChangeWords } from '../changeWords'

/** Two edited one dish: what each changed since they began, and the three ways on. */
export function ConflictSheet(props: {
  base: Dish
  mine: DishDraft
  theirs: Dish
  onTheirs: () => void
  onSave: (dish: DishDraft) => void
  onClose: () => void
}) {
  const { base, mine, theirs, onTheirs, onSave, onClose } = props
  const t = useWords('book')
  const changeWords = useChangeWords()
  const draftOf = ({ version: _version, ...draft }: Dish) => draft
  const merged = mergeDishes(draftOf(base), mine, draftOf(theirs))
  const side = (title: string, words: string) => (
    <View className="min-w-[200px] flex-1 gap-1 rounded-lg border border-line p-3">
      <Text weight="bold">{title}</Text>
      <Text>{words || t('editor.same')}</Text>
    </View>
  )
  return (
    <Sheet title={t('editor.conflict')} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text tone="ash">{t('editor.conflictHow', { n: theirs.version })}</Text>
        <View className="flex-row flex-wrap gap-3">
          {side(t('editor.theirs'), changeWords(changesBetween(draftOf(base), draftOf(theirs))))}
          {side(t('editor.mine'), changeWords(changesBetween(draftOf(base), mine)))}
        </View>
        <Button
          kind="main"
          label={t('editor.takeBoth')}
          detail={
            merged.conflicts.length > 0
              ? t('editor.takeBothDetail', { count: merged.conflicts.length })
              : t('editor.takeBothClean')
          }
          onPress={() => onSave({ ...mine, ...(merged.dish as DishDraft) })}
        />
        <Button label={t('editor.takeMine')} onPress={() => onSave(mine)} />
        <Button label={t('editor.takeTheirs')} onPress={onTheirs} />
      </View>
    </Sheet>
  )
}
