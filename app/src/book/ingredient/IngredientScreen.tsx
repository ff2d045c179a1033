import type { Ingredient, KitchenIngredient } from 'contract/ingredient'
import type { Kitchen } from 'contract/kitchen'
import { ScrollView, View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { Frame } from '../../ui/Frame'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { Empty, Loading, Problem, useProblemSentence } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'
import { useDishes } from '../useDishes'
import { useIngredients, useRecipes } from '../useShelf'
import { useToday } from '../useToday'
import { AllergenFields } from './AllergenFields'
import { FiguresForm, MAX_SOURCE } from './FiguresForm'
import { PriceList } from './PriceList'
import { bodyOf, useSaveIngredient } from './useSaveIngredient'
import { WeighOnce } from './WeighOnce'
import { useMassWords } from '../../setup/useMassWords'

/** One row of the table: what it holds and where that comes from, densities, allergens, prices. */
export function IngredientScreen({ id }: { id: string }) {
  const t = useWords('book')
  const table = useIngredients()
  const kitchen = useKitchen().data
  const row = table.data?.ingredients.find((one) => one.id === id)
  return (
    <Frame stage="book">
      {row && kitchen ? (
        <Page row={row} kitchen={kitchen} />
      ) : table.error ? (
        <Problem error={table.error} onRetry={() => void table.refetch()} />
      ) : table.data ? (
        <Empty isPage title={t('ingredient.none')} detail={t('notThereDetail')} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function Page({ row, kitchen }: { row: KitchenIngredient; kitchen: Kitchen }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const day = useToday()
  const dishes = useDishes().data?.dishes ?? []
  const recipes = useRecipes().data?.recipes ?? []
  const { save, price, remove, error } = useSaveIngredient()
  const sentence = useProblemSentence(error)
  const has = (one: { ingredientId?: string }) => one.ingredientId === row.id
  const uses = [
    ...dishes.filter((dish) => dish.components.some(has)).map((dish) => dish.name),
    ...recipes.filter((recipe) => recipe.lines.some(has)).map((recipe) => recipe.name),
  ]
  const change = (changes: Partial<Ingredient>, words: string, onDone?: () => void) =>
    save.mutate(
      { version: row.version, ingredient: { ...bodyOf(row), ...changes } },
      {
        onSuccess: () => {
          toast(words)
          onDone?.()
        },
      },
    )
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="w-full max-w-3xl gap-3 self-center p-4">
        <PageHeading size="lead" weight="bold" stretch="slim">
          {row.name}
        </PageHeading>
        <Text tone="ash">
          {t('ingredient.source', { source: row.source, confidence: t(`confidence.${row.confidence}`) })}
        </Text>
        {row.isOwn && <Text>{t('ingredient.own', { n: row.version })}</Text>}
        <Text>{uses.length > 0 ? t('ingredient.usedIn', { list: uses.join(', ') }) : t('ingredient.unused')}</Text>
        {error && <Notice kind="conflict" title={sentence} />}
        <FiguresForm
          row={row}
          isBusy={save.isPending}
          onSave={(changes, onDone) => change(changes, t('ingredient.saved', { name: row.name }), onDone)}
        />
        <Heading>{t('ingredient.densities')}</Heading>
        <Text>
          {row.densities.length > 0
            ? row.densities.map((one) => `${one.form} ${one.gPerML} g/mL`).join(' · ')
            : t('ingredient.noDensity')}
        </Text>
        <Text>
          {row.countSizes.length > 0
            ? row.countSizes.map((one) => `${one.size} ${mass(one.massG)}`).join(' · ')
            : t('ingredient.noSizes')}
        </Text>
        <WeighOnce
          row={bodyOf(row)}
          tools={kitchen.tools}
          isBusy={save.isPending}
          onSave={(changes, what) =>
            change({ ...changes, source: sourceWith(row.source, what) }, t('ingredient.weighed', { what }))
          }
        />
        <Heading>{t('ingredient.allergens')}</Heading>
        <Text size="small" tone="ash">
          {t('ingredient.allergensHow')}
        </Text>
        <AllergenFields row={row} onChange={(changes) => change(changes, t('ingredient.saved', { name: row.name }))} />
        <PriceList
          row={row}
          currency={kitchen.currency}
          day={day}
          isBusy={price.isPending}
          onSave={(one) => price.mutate({ id: row.id, price: one })}
        />
        {row.isOwn && (
          <HoldButton
            kind="plain"
            label={t('ingredient.removeOwn')}
            detail={t('editor.takeOutHold')}
            onHeld={() =>
              remove.mutate(row.id, { onSuccess: () => toast(t('ingredient.removed', { name: row.name })) })
            }
          />
        )}
      </View>
    </ScrollView>
  )
}

const sourceWith = (source: string, what: string) => `${source}; weighed here: ${what}`.slice(0, MAX_SOURCE)
