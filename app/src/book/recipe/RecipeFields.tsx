import { ROLES } from 'core/book/dish'
import { KEEPS, RECIPE_KINDS } from 'core/book/recipe/recipe'
import { Choices } from '../../ui/Choices'
import { Field } from '../../ui/Field'
import { View } from 'react-native'
import { useWords } from '../../words/i18n'
import type { DraftLine } from '../draft/draft'
import type { RecipeHead } from './recipeDraft'

/** What something made ahead is, how it keeps, and what its lines are a share of. */
export function RecipeFields(props: {
  head: RecipeHead
  lines: readonly DraftLine[]
  change: (changes: Partial<RecipeHead>) => void
}) {
  const { head, lines, change } = props
  const t = useWords('book')
  return (
    <>
      <Choices
        label={t('editor.recipe.kind')}
        of={RECIPE_KINDS}
        chosen={head.kind}
        words={(one) => t(`kinds.${one}`)}
        onChoose={(kind) => change({ kind })}
      />
      <Choices
        label={t('editor.recipe.role')}
        of={ROLES}
        chosen={head.role}
        words={(one) => t(`roles.${one}`)}
        onChoose={(role) => change({ role })}
      />
      <Choices
        label={t('editor.recipe.keep')}
        of={KEEPS}
        chosen={head.keep}
        words={(one) => t(`keep.${one}`)}
        onChoose={(keep) => change({ keep })}
      />
      <Choices
        label={t('editor.recipe.base')}
        of={['', ...lines.map((line) => line.key)]}
        chosen={head.baseLineKey ?? ''}
        words={(key) => lines.find((line) => line.key === key)?.name || t('editor.recipe.baseNone')}
        onChoose={(key) => change({ baseLineKey: key === '' ? null : key })}
      />
      <View className="flex-row flex-wrap gap-2">
        <Field
          label={t('editor.recipe.shelfLifeH')}
          value={head.shelfLifeH}
          inputMode="decimal"
          className="min-w-[140px] flex-1"
          onChange={(text) => change({ shelfLifeH: text })}
        />
        <Field
          label={t('editor.recipe.yieldPercent')}
          value={head.yieldPercent}
          inputMode="decimal"
          className="min-w-[140px] flex-1"
          onChange={(text) => change({ yieldPercent: text })}
        />
        <Field
          label={t('editor.recipe.gPerML')}
          value={head.gPerML}
          inputMode="decimal"
          className="min-w-[140px] flex-1"
          onChange={(text) => change({ gPerML: text })}
        />
      </View>
    </>
  )
}
