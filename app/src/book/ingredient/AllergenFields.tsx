import type { Ingredient, KitchenIngredient } from 'contract/ingredient'
import { ALLERGENS, type Allergen } from 'core/book/ingredient'
import { View } from 'react-native'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

type Props = { row: KitchenIngredient; onChange: (changes: Partial<Ingredient>) => void }

const without = (list: readonly Allergen[], one: Allergen) => list.filter((each) => each !== one)

/** What is in it, what may be in it, and whether somebody read the label at all: an empty list alone says nothing. */
export function AllergenFields({ row, onChange }: Props) {
  const t = useWords('book')
  const name = useWords('ui')
  const group = (label: string, has: (one: Allergen) => boolean, toggle: (one: Allergen) => void) => (
    <View role="group" aria-label={label}>
      <Text weight="semi">{label}</Text>
      <View className="-mx-2 flex-row flex-wrap">
        {ALLERGENS.map((one) => (
          <Choice
            key={one}
            role="checkbox"
            label={name(`allergens.${one}`)}
            isChosen={has(one)}
            onChoose={() => toggle(one)}
          />
        ))}
      </View>
    </View>
  )
  const isIn = (one: Allergen) => row.allergens.includes(one) || row.allergensUs.includes(one)
  return (
    <View className="gap-2">
      {!row.areAllergensKnown && <Notice kind="allergy" title={t('ingredient.allergensUnknown')} />}
      <View className="-mx-2">
        <Choice
          role="checkbox"
          label={t('ingredient.labelRead')}
          isChosen={row.areAllergensKnown}
          onChoose={() => onChange({ areAllergensKnown: !row.areAllergensKnown })}
          className="items-start"
        />
        <Choice
          role="checkbox"
          label={t('ingredient.readyToEat')}
          isChosen={row.isReadyToEat === true}
          onChoose={() => onChange({ isReadyToEat: row.isReadyToEat !== true })}
          className="items-start"
        />
      </View>
      {group(t('ingredient.isIn'), isIn, (one) =>
        onChange(
          isIn(one)
            ? { allergens: without(row.allergens, one), allergensUs: without(row.allergensUs, one) }
            : {
                allergens: [...row.allergens, one],
                allergensUs: [...row.allergensUs, one],
                mayContain: without(row.mayContain, one),
              },
        ),
      )}
      {group(
        t('ingredient.mayBeIn'),
        (one) => row.mayContain.includes(one),
        (one) =>
          onChange({
            mayContain: row.mayContain.includes(one) ? without(row.mayContain, one) : [...row.mayContain, one],
          }),
      )}
    </View>
  )
}
