import { ROLES } from 'core/book/dish'
import { KEEPS, RECIPE_KINDS } from 'core/book/recipe/recipe'
import { Choices } from '../../ui/Choices'
import { FormField } from '../../ui/form/FormField'
import { Controller, type Control } from 'react-hook-form'
import { View } from 'react-native'
import { useWords } from '../../words/i18n'
import type { DraftLine } from '../draft/draft'
import type { RecipeHead } from './recipeDraft'

/** What something made ahead is, how it keeps, and what its lines are a share of. */
export function RecipeFields(props: { control: Control<RecipeHead>; lines: readonly DraftLine[] }) {
  const { control, lines } = props
  const t = useWords('book')
  return (
    <>
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choices
            label={t('editor.recipe.kind')}
            of={RECIPE_KINDS}
            chosen={field.value}
            words={(one) => t(`kinds.${one}`)}
            onChoose={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="role"
        render={({ field }) => (
          <Choices
            label={t('editor.recipe.role')}
            of={ROLES}
            chosen={field.value}
            words={(one) => t(`roles.${one}`)}
            onChoose={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="keep"
        render={({ field }) => (
          <Choices
            label={t('editor.recipe.keep')}
            of={KEEPS}
            chosen={field.value}
            words={(one) => t(`keep.${one}`)}
            onChoose={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="baseLineKey"
        render={({ field }) => (
          <Choices
            label={t('editor.recipe.base')}
            of={['', ...lines.map((line) => line.key)]}
            chosen={field.value ?? ''}
            words={(key) => lines.find((line) => line.key === key)?.name || t('editor.recipe.baseNone')}
            onChoose={(key) => field.onChange(key === '' ? null : key)}
          />
        )}
      />
      <View className="flex-row flex-wrap gap-2">
        <FormField
          control={control}
          name="shelfLifeH"
          label={t('editor.recipe.shelfLifeH')}
          inputMode="decimal"
          className="min-w-[140px] flex-1"
        />
        <FormField
          control={control}
          name="yieldPercent"
          label={t('editor.recipe.yieldPercent')}
          inputMode="decimal"
          className="min-w-[140px] flex-1"
        />
        <FormField
          control={control}
          name="gPerML"
          label={t('editor.recipe.gPerML')}
          inputMode="decimal"
          className="min-w-[140px] flex-1"
        />
      </View>
    </>
  )
}
