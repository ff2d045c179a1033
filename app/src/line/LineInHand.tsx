import type { Dish } from 'contract/dish'
import { allergensOnList, dishVerdict, type AllergenList } from 'core/book/allergens'
import { eggWishOf } from 'core/book/eggWish'
import { staysIn } from 'core/book/variation/vary'
import type { Allergen } from 'core/book/ingredient'
import { View } from 'react-native'
import { newId } from '../device/ids'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Dial } from '../ui/Dial'
import { SlashDisc } from '../ui/icons'
import { Notice } from '../ui/Notice'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { noAllergy, setPortions, splitOne, toggleAllergy, toggleModifier, type TicketDraft } from './draftTicket'

type InHandProps = {
  line: TicketDraft['lines'][number]
  dish: Dish
  list: AllergenList
  draft: TicketDraft
  onChange: (draft: TicketDraft) => void
}

/** How many of it, made how, and the allergy question. */
export function LineInHand({ line, dish, list, draft, onChange }: InHandProps) {
  const t = useWords('line')
  const name = useWords('ui')
  const steps = useWords('steps')
  const isRunny = eggWishOf(dish.modifiers.filter(({ id }) => line.modifiers.includes(id))) === 'runny'
  const noteOf = (allergen: Allergen) => {
    const { verdict } = dishVerdict(dish.components, allergen, list)
    return verdict === 'free' ? undefined : t(`add.verdict.${verdict}`)
  }
  const stays = dish.modifiers
    .filter((modifier) => line.modifiers.includes(modifier.id))
    .flatMap((modifier) =>
      staysIn(dish, modifier, list).map(({ allergen, components }) =>
        t('add.stays', {
          modifier: modifier.name,
          allergen: name(`allergens.${allergen}`),
          components: components.map((one) => one.name).join(', '),
        }),
      ),
    )
  return (
    <View className="gap-2 border-b border-edge px-4 py-2">
      <View className="flex-row items-center gap-3">
        <Text weight="bold" size="step" className="flex-1">
          {dish.shortName}
        </Text>
        <View className="w-56">
          <Dial
            name={t('add.howMany')}
            value={line.portions}
            least={0}
            most={60}
            unit=""
            lessLabel={t('add.less')}
            moreLabel={t('add.more')}
            onChange={(portions) => onChange(setPortions(draft, line.id, portions))}
          />
        </View>
      </View>
      <View role="group" aria-label={t('add.which')} className="flex-row flex-wrap border-t border-edge">
        {dish.modifiers.map((modifier) => (
          <Choice
            key={modifier.id}
            role="checkbox"
            label={modifier.name}
            isChosen={line.modifiers.includes(modifier.id)}
            onChoose={() => onChange(toggleModifier(draft, line.id, modifier.id))}
          />
        ))}
        {line.portions > 1 && (
          <Button label={t('add.oneDiffers')} onPress={() => onChange(splitOne(draft, line.id, newId()))} />
        )}
      </View>
      {isRunny && <Notice kind="hazard" isSmall title={steps('cautions.runnyEgg')} />}
      {stays.map((words) => (
        <Notice key={words} kind="allergy" isSmall title={words} />
      ))}
      <View className="flex-row items-center gap-2 border-t border-edge pt-2">
        <SlashDisc sizePx={20} color="rgb(var(--rice))" />
        <Text weight="bold">{t('add.allergy')}</Text>
        <Text tone="ash" stretch="slim" className="min-w-0 flex-1">
          {t('add.allergyHow', { dish: dish.shortName })}
        </Text>
      </View>
      <View role="group" aria-label={t('add.allergy')} className="flex-row flex-wrap">
        <Choice
          role="checkbox"
          label={t('add.allergyNone')}
          isChosen={draft.isAllergyAsked && line.allergies.length === 0}
          onChoose={() => onChange(noAllergy(draft, line.id))}
        />
        {allergensOnList(list).map((allergen) => (
          <Choice
            key={allergen}
            role="checkbox"
            label={name(`allergens.${allergen}`)}
            note={noteOf(allergen)}
            isChosen={line.allergies.includes(allergen)}
            onChoose={() => onChange(toggleAllergy(draft, line.id, allergen))}
          />
        ))}
      </View>
      {!draft.isAllergyAsked && <Text tone="ash">{t('add.allergyUnset')}</Text>}
    </View>
  )
}
