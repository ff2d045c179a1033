import { useMutation, useQueryClient } from '@tanstack/react-query'
import { JsonLdReviewed, KitchenBrought } from 'contract/book'
import { PriceImported } from 'contract/ingredient'
import { ROLES, STATES } from 'core/book/dish'
import { MEASURE_SYSTEMS, type MeasureSystem } from 'core/measure/units'
import { useState } from 'react'
import { View } from 'react-native'
import type { z } from 'zod'
import { chooseFile } from '../../device/chooseFile'
import { download } from '../../device/download'
import { Refused, sendFile } from '../../device/http'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { BookPage, Heading } from '../BookParts'
import { DishCsv } from './DishCsv'
import { RecipeReviews } from './RecipeReviews'

/** Everything that comes in and goes out, in open formats. */
export function FilesScreen() {
  const t = useWords('book')
  return (
    <BookPage part="files">
      <View className="gap-4">
        <Heading>{t('files.in')}</Heading>
        <BringRecipe />
        <DishCsv />
        <Text size="small" tone="ash">
          {t('files.csvRoles', { list: ROLES.join(', ') })} · {t('files.csvStates', { list: STATES.join(', ') })}
        </Text>
        <BringFile
          title={t('files.ingredientsCsv')}
          accept=".csv,text/csv"
          path="/ingredients/table.csv"
          type="text/csv"
          schema={PriceImported}
          words={({ rows }) => t('files.rows', { count: rows })}
        />
        <BringFile
          title={t('files.pricesCsv')}
          accept=".csv,text/csv"
          path="/ingredients/prices.csv"
          type="text/csv"
          schema={PriceImported}
          words={({ rows }) => t('files.rows', { count: rows })}
        />
        <BringFile
          title={t('files.kitchen')}
          how={t('files.kitchenHow')}
          accept=".json,application/json"
          path="/book/kitchen.json"
          type="application/json"
          method="PUT"
          schema={KitchenBrought}
          words={(brought) => t('files.broughtKitchen', brought)}
        />
        <Heading>{t('files.out')}</Heading>
        <View className="flex-row flex-wrap gap-2">
          {(
            [
              ['dishesCsv', '/api/dishes/dishes.csv', 'dishes.csv'],
              ['ingredientsOut', '/api/ingredients/table.csv', 'ingredients.csv'],
              ['pricesOut', '/api/ingredients/prices.csv', 'prices.csv'],
              ['kitchenOut', '/api/book/kitchen.json', 'kitchen.json'],
            ] as const
          ).map(([word, href, name]) => (
            <Button
              key={word}
              label={t(`files.${word}`)}
              className="min-w-[200px] flex-1"
              onPress={() => download(href, name)}
            />
          ))}
        </View>
      </View>
    </BookPage>
  )
}

function BringRecipe() {
  const t = useWords('book')
  const kitchen = useKitchen().data
  const [system, setSystem] = useState<MeasureSystem | null>(null)
  const chosen = system ?? kitchen?.tools.system ?? 'us'
  const read = useMutation({
    mutationFn: (file: ArrayBuffer) =>
      sendFile(`/book/recipe.jsonld?system=${chosen}`, file, 'application/ld+json', JsonLdReviewed),
  })
  return (
    <Panel title={t('files.recipe')} how={t('files.recipeHow')}>
      <View role="radiogroup" aria-label={t('files.system')} className="-mx-2 flex-row flex-wrap">
        {MEASURE_SYSTEMS.map((one) => (
          <Choice key={one} role="radio" label={one} isChosen={one === chosen} onChoose={() => setSystem(one)} />
        ))}
      </View>
      <ChooseButton
        accept=".jsonld,.json,.html,application/ld+json,text/html"
        isBusy={read.isPending}
        onFile={(file) => read.mutate(file)}
      />
      <Failure error={read.error} />
      {read.data && <RecipeReviews recipes={read.data.recipes} system={chosen} />}
    </Panel>
  )
}

type BringProps<S extends z.ZodType> = {
  title: string
  how?: string
  accept: string
  path: string
  type: string
  method?: 'POST' | 'PUT'
  schema: S
  words: (answer: z.infer<S>) => string
}

function BringFile<S extends z.ZodType>({
  title,
  how,
  accept,
  path,
  type,
  method = 'POST',
  schema,
  words,
}: BringProps<S>) {
  const queries = useQueryClient()
  const bring = useMutation({
    mutationFn: (file: ArrayBuffer) => sendFile(path, file, type, schema, method),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['book'] }),
  })
  return (
    <Panel title={title} how={how}>
      <ChooseButton accept={accept} isBusy={bring.isPending} onFile={(file) => bring.mutate(file)} />
      <View aria-live="polite" className="gap-2">
        <Failure error={bring.error} />
        {bring.data !== undefined && <Text weight="bold">{words(bring.data)}</Text>}
      </View>
    </Panel>
  )
}

function Panel({ title, how, children }: { title: string; how?: string | undefined; children: React.ReactNode }) {
  return (
    <View className="gap-2 rounded-lg border border-edge bg-plate p-4">
      <Text role="heading" aria-level={3} size="step" weight="bold">
        {title}
      </Text>
      {how !== undefined && <Text tone="ash">{how}</Text>}
      {children}
    </View>
  )
}

function ChooseButton(props: { accept: string; isBusy: boolean; onFile: (file: ArrayBuffer) => void }) {
  const t = useWords('book')
  const choose = async () => {
    const file = await chooseFile(props.accept)
    if (file) props.onFile(await file.arrayBuffer())
  }
  return (
    <Button
      label={props.isBusy ? t('files.busy') : t('files.choose')}
      isBusy={props.isBusy}
      onPress={() => void choose()}
    />
  )
}

/** What was wrong with a file, every fault by its place. */
function Failure({ error }: { error: Error | null }) {
  const sentence = useProblemSentence(error)
  if (!error) return null
  const faults = error instanceof Refused ? error.problem.faults : []
  return (
    <Notice kind="conflict" title={sentence}>
      {faults.map((fault) => (
        <Text key={fault.field + fault.message} tone="inverse">{`${fault.field}: ${fault.message}`}</Text>
      ))}
    </Notice>
  )
}
