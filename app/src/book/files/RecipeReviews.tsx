import type { RecipeReview } from 'contract/book'
import type { MeasureSystem } from 'core/measure/units'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { newId } from '../../device/ids'
import { useKitchen } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { Button } from '../../ui/Button'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { blankDraft, gramsText } from '../draft/draft'
import { useFlagWords } from '../editor/LineFlags'
import { keepDraft } from '../draft/keptDraft'
import { pastedLines } from '../draft/pasteLines'

/** Recipes that were read, line by line, before anything is saved; the editor takes them from here. */
export function RecipeReviews({ recipes, system }: { recipes: readonly RecipeReview[]; system: MeasureSystem }) {
  return (
    <View className="gap-4">
      {recipes.map((recipe, i) => (
        <Review key={i} recipe={recipe} system={system} />
      ))}
    </View>
  )
}

function Review({ recipe, system }: { recipe: RecipeReview; system: MeasureSystem }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const router = useRouter()
  const flagWords = useFlagWords()
  const own = useKitchen().data?.tools.system
  const doubtful = recipe.lines.filter((line) => line.kind === 'ingredient' && !line.understood).length
  const toEditor = () => {
    const pasted = pastedLines(recipe.lines.map((line) => line.text).join('\n'), system, newId)
    const weighed = recipe.lines.filter((line) => line.kind === 'ingredient')
    const lines = pasted.kind === 'lines' ? pasted.lines : []
    const draft = blankDraft(newId())
    keepDraft(null, {
      base: null,
      draft: {
        head: { ...draft.head, name: recipe.name },
        lines: lines.map((line, i) => {
          const massG = weighed[i]?.massG
          return system === own || massG === null || massG === undefined ? line : { ...line, written: gramsText(massG) }
        }),
      },
    })
    router.push('/book/new')
  }
  return (
    <View className="gap-2 rounded-lg border border-line bg-ground p-3">
      <Text role="heading" aria-level={4} size="step" weight="bold">
        {[recipe.name, recipe.portions && t('files.portions', { n: recipe.portions })].filter(Boolean).join(' · ')}
      </Text>
      <Text weight="bold">{doubtful > 0 ? t('files.reviewHow', { count: doubtful }) : t('files.reviewFine')}</Text>
      <View role="list" aria-label={t('files.review')}>
        {recipe.lines
          .filter((line) => line.kind !== 'blank')
          .map((line, i) => (
            <View key={i} role="listitem" className="border-b border-edge py-1">
              <View className="flex-row items-baseline gap-2">
                <Text className="min-w-0 flex-1" weight={line.kind === 'heading' ? 'bold' : 'normal'}>
                  {line.text}
                </Text>
                <Text weight="bold" stretch="narrow">
                  {line.massG === null ? '' : mass(line.massG)}
                </Text>
              </View>
              {line.flags.map((flag) => (
                <View key={flag.code} className="flex-row items-start gap-1.5">
                  <Diamond sizePx={14} />
                  <Text size="small" weight="bold" className="min-w-0 flex-1">
                    {flagWords(flag)}
                  </Text>
                </View>
              ))}
            </View>
          ))}
      </View>
      {recipe.steps.length > 0 && (
        <>
          <Text weight="bold">{t('files.steps')}</Text>
          {recipe.steps.map((step, i) => (
            <Text key={i} size="small" tone="ash">
              {`${i + 1}. ${step}`}
            </Text>
          ))}
        </>
      )}
      {recipe.leftOver.length > 0 && (
        <>
          <Text weight="bold">{t('files.leftOver')}</Text>
          {recipe.leftOver.map(({ property, text }, i) => (
            <Text key={i} size="small" tone="ash">
              {`${property}: ${text}`}
            </Text>
          ))}
        </>
      )}
      <Button kind="main" label={t('files.toEditor')} onPress={toEditor} />
    </View>
  )
}
