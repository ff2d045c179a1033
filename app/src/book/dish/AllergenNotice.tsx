import type { Component } from 'core/book/dish'
import { allergenListOf, allergenSheet } from 'core/book/allergens'
import type { Allergen } from 'core/book/ingredient'
import { View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** Names of a dish's allergens by what is known of them, in a line each. */
export function useAllergenLines() {
  const t = useWords('book')
  const name = useWords('ui')
  const ruleSet = useKitchen().data?.ruleSet ?? 'uk'
  return (components: readonly Component[]) => {
    const sheet = allergenSheet(components, allergenListOf(ruleSet))
    const words = (list: readonly Allergen[]) => list.map((one) => name(`allergens.${one}`)).join(', ')
    const isKnown = sheet.unknownNames.length === 0
    return {
      contains:
        sheet.contains.length > 0
          ? t('contains', { list: words(sheet.contains) })
          : isKnown
            ? t('containsNone')
            : t('containsUnknown'),
      may: sheet.mayContain.length > 0 ? t('mayContain', { list: words(sheet.mayContain) }) : null,
      unknown: isKnown ? null : t('notKnown', { list: sheet.unknownNames.join(', ') }),
    }
  }
}

/** What a dish contains, what it may contain, and what nobody knows: said in that order, never left out. */
export function AllergenNotice({ components }: { components: readonly Component[] }) {
  const t = useWords('book')
  const { contains, may, unknown } = useAllergenLines()(components)
  return (
    <Notice kind="allergy" isSmall title={contains}>
      <View>
        {[may, unknown, t('traces')].map(
          (line) =>
            line !== null && (
              <Text key={line} tone="inverse" stretch="slim">
                {line}
              </Text>
            ),
        )}
      </View>
    </Notice>
  )
}
