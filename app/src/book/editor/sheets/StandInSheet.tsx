import type { Allergen, Ingredient } from 'core/book/ingredient'
import { foodOf, readCut } from 'core/book/resolve'
import { substitutesFor } from 'core/book/variation/substitutes'
import { View } from 'react-native'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Sheet'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'
import type { Shelf } from '../../useShelf'
import type { DraftLine } from '../../draft/draft'
import { roleOf, type ReadLine } from '../../draft/readLines'

/** What can stand in at the same step, with the allergens it brings and the salt it changes. */
export function StandInSheet(props: {
  line: DraftLine
  read: ReadLine
  source: Ingredient
  riceG: number | null
  shelf: Shelf
  onTake: (changes: Partial<DraftLine>) => void
  onClose: () => void
}) {
  const { line, read, source, riceG, shelf, onTake, onClose } = props
  const t = useWords('book')
  const name = useWords('ui')
  const role = roleOf(line, read)
  const component = {
    id: line.componentId ?? 'x',
    name: line.name,
    role,
    state: line.state ?? ('fresh' as const),
    food: foodOf(role, source),
    cut: readCut(line.cut),
    ratioG: riceG === null ? 0 : ((read.massG ?? 0) / riceG) * 100,
    scaling: line.scaling,
    allergens: source.allergens,
  }
  const found = substitutesFor(component, source, shelf.rows)
  return (
    <Sheet title={t('editor.standIn', { name: line.name })} isOpen onClose={onClose}>
      <View className="gap-2">
        <Text tone="ash">{found.length > 0 ? t('editor.standInHow') : t('editor.standInNone')}</Text>
        {found.map((one) => {
          const words = (list: readonly Allergen[]) => list.map((each) => name(`allergens.${each}`)).join(', ')
          const salt = `${one.saltG < 0 ? '−' : '+'}${Math.abs(one.saltG).toFixed(2)}`
          return (
            <Button
              key={one.ingredient.id}
              label={one.ingredient.name}
              detail={[
                one.brings.length > 0 && t('editor.standInBrings', { list: words(one.brings) }),
                one.mayBring.length > 0 && t('editor.standInMay', { list: words(one.mayBring) }),
                one.isUnknown && t('editor.standInUnknown'),
                one.brings.length + one.mayBring.length === 0 && !one.isUnknown && t('editor.standInSame'),
                t('editor.standInSalt', { g: salt }),
              ]
                .filter(Boolean)
                .join(' · ')}
              onPress={() =>
                onTake({
                  name: one.component.name,
                  ingredientId: one.ingredient.id,
                  recipeId: null,
                  role: component.role,
                })
              }
            />
          )
        })}
      </View>
    </Sheet>
  )
}
