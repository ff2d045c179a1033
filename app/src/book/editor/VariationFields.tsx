import type { Component, Modifier } from 'core/book/dish'
import X from 'lucide-react-native/icons/x'
import { Icon } from '../../ui/icons'
import { EGG_WISHES } from 'core/book/eggWish'
import { isRawEgg } from 'core/book/rawFood'
import { ALLERGENS, type Allergen } from 'core/book/ingredient'
import { allergenListOf, allergenSheet } from 'core/book/allergens'
import { staysIn } from 'core/book/variation/vary'
import { DIETS, dietDelta, type DietOrAllergen } from 'core/book/variation/diet'
import { standardOf } from 'core/book/variation/standard'
import { memo, useState } from 'react'
import { View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'
import type { Shelf } from '../useShelf'
import type { DraftHead } from '../draft/draft'
import type { Edit } from '../draft/history'

const EXTRA = 1.5
const LESS = 0.6
const TOLERANCE = 0.1

type Props = { head: DraftHead; components: readonly Component[]; shelf: Shelf; edit: (edit: Edit) => void }

/** Written variations: taken out, more, less, mild, and those that fit a diet or leave an allergen out. */
export const VariationFields = memo(function VariationFields({ head, components, shelf, edit }: Props) {
  const t = useWords('book')
  const name = useWords('ui')
  const [wanted, setWanted] = useState<DietOrAllergen | null>(null)
  const set = (modifiers: readonly Modifier[]) => edit({ kind: 'head', changes: { modifiers } })
  const has = (id: string) => head.modifiers.some((one) => one.id === id)
  const simple = simpleVariations(components, t).filter((one) => !has(one.id))
  const list = allergenListOf(useKitchen().data?.ruleSet ?? 'uk')
  const { contains, mayContain } = allergenSheet(components, list)
  const input: { what: DietOrAllergen; label: string }[] = [
    ...DIETS.map((diet) => ({ what: diet, label: t(`editor.diets.${diet}`) })),
    ...ALLERGENS.filter((one) => contains.includes(one) || mayContain.includes(one)).map((one) => ({
      what: `no-${one}` as const,
      label: t('editor.noAllergen', { allergen: name(`allergens.${one}`) }),
    })),
  ]
  return (
    <View className="gap-2">
      <Heading>{t('editor.variations')}</Heading>
      <View className="flex-row flex-wrap gap-2">
        {head.modifiers.map((modifier) => (
          <Button
            key={modifier.id}
            size="body"
            kind="inverse"
            label={modifier.name}
            icon={<Icon as={X} sizePx={18} color="rgb(var(--on-inverse))" />}
            accessibleName={t('editor.dropVariation', { name: modifier.name })}
            onPress={() => set(head.modifiers.filter((one) => one.id !== modifier.id))}
          />
        ))}
      </View>
      {head.modifiers.flatMap((modifier) =>
        staysIn({ components }, modifier, list).map(({ allergen, components: still }) => (
          <Notice
            key={`${modifier.id}${allergen}`}
            kind="allergy"
            isSmall
            title={`${modifier.name}: ${t('staysIn', {
              allergen: name(`allergens.${allergen}`),
              components: still.map((one) => one.name).join(', '),
            })}`}
          />
        )),
      )}
      <Text size="small" tone="ash">
        {t('editor.addVariation')}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {simple.map((modifier) => (
          <Button
            key={modifier.id}
            size="body"
            label={`+ ${modifier.name}`}
            onPress={() => set([...head.modifiers, modifier])}
          />
        ))}
        {input.map(({ what, label }) => (
          <Button key={what} size="body" label={`? ${label}`} onPress={() => setWanted(what)} />
        ))}
      </View>
      {wanted && (
        <DietAnswer
          wanted={wanted}
          label={input.find((one) => one.what === wanted)?.label ?? wanted}
          components={components}
          shelf={shelf}
          isWritten={(id) => has(id)}
          onTake={(modifier) => {
            set([...head.modifiers.filter((one) => one.id !== modifier.id), modifier])
            setWanted(null)
          }}
        />
      )}
      <StandardFields head={head} components={components} edit={edit} />
    </View>
  )
})

function simpleVariations(components: readonly Component[], t: ReturnType<typeof useWords<'book'>>): Modifier[] {
  const without = (one: Component): Modifier => ({
    id: `no-${one.id}`,
    name: t('editor.without', { name: one.name }),
    removes: [one.id],
    scales: [],
  })
  const times = (id: string, name: string, of: readonly Component[], factor: number): Modifier => ({
    id,
    name,
    removes: [],
    scales: of.map((one) => ({ componentId: one.id, factor })),
  })
  const hot = components.filter((one) => /chilli|hot|curry paste/i.test(one.name) && one.role !== 'rice')
  const salty = components.filter((one) => one.role === 'liquidSeasoning')
  return [
    ...components.filter((one) => ['egg', 'finish', 'garnish', 'protein'].includes(one.role)).map(without),
    ...components
      .filter((one) => one.role === 'protein' || one.role === 'egg')
      .map((one) => times(`extra-${one.id}`, t('editor.extra', { name: one.name }), [one], EXTRA)),
    ...(components.some((one) => one.role === 'egg' && isRawEgg(one))
      ? EGG_WISHES.map((egg) => ({
          id: egg === 'runny' ? 'egg-runny' : 'egg-well-done',
          name: t(`editor.eggWishes.${egg}`),
          removes: [],
          scales: [],
          egg,
        }))
      : []),
    ...(salty.length > 0 ? [times('less-salt', t('editor.less', { name: 'salt' }), salty, LESS)] : []),
    ...(hot.length > 0 ? [{ id: 'mild', name: t('editor.mild'), removes: hot.map((one) => one.id), scales: [] }] : []),
  ]
}

function DietAnswer(props: {
  wanted: DietOrAllergen
  label: string
  components: readonly Component[]
  shelf: Shelf
  isWritten: (id: string) => boolean
  onTake: (modifier: Modifier) => void
}) {
  const { wanted, label, components, shelf, isWritten, onTake } = props
  const t = useWords('book')
  const delta = dietDelta({ components }, wanted, shelf.lookup, shelf.rows)
  const name = useWords('ui')
  const allergenName = (one: Allergen) => name(`allergens.${one}`)
  const broughtBy = (one: Component) => {
    const before = components.find((each) => each.id === one.id)?.allergens ?? []
    return {
      brings: one.allergens.filter((each) => !before.includes(each)),
      may: (one.mayContain ?? []).filter((each) => !before.includes(each)),
    }
  }
  const nameOf = (id: string) => components.find((one) => one.id === id)?.name ?? id
  const words = () => {
    switch (delta.kind) {
      case 'fits':
        return t('editor.dietFits')
      case 'unknown':
        return t('editor.dietUnknown', { list: delta.names.join(', ') })
      case 'impossible':
        return t('editor.dietImpossible', { list: delta.names.join(', ') })
      case 'modifier':
        return [
          ...(delta.modifier.removes.length > 0
            ? [t('editor.dietOut', { list: delta.modifier.removes.map(nameOf).join(', ') })]
            : []),
          ...(delta.modifier.swaps ?? []).map((one) => {
            const { brings, may } = broughtBy(one)
            return [
              t('editor.dietSwap', { name: `${nameOf(one.id)}: ${one.name}` }),
              ...(brings.length > 0 ? [t('editor.standInBrings', { list: brings.map(allergenName).join(', ') })] : []),
              ...(may.length > 0 ? [t('editor.standInMay', { list: may.map(allergenName).join(', ') })] : []),
            ].join(', ')
          }),
        ].join(' · ')
    }
  }
  return (
    <View className="gap-1 rounded-lg bg-plate p-3" aria-live="polite">
      <Text weight="bold">{t('editor.variationFor', { what: label })}</Text>
      <Text>{words()}</Text>
      <Text size="small" tone="ash">
        {[...(wanted === 'halal' ? [t('editor.halalNote')] : []), t('editor.tracesNote')].join(' ')}
      </Text>
      {delta.kind === 'modifier' && !isWritten(delta.modifier.id) && (
        <Button label={t('editor.take', { name: label })} onPress={() => onTake({ ...delta.modifier, name: label })} />
      )}
    </View>
  )
}

function StandardFields({ head, components, edit }: Omit<Props, 'shelf'>) {
  const t = useWords('book')
  const set = (standard: DraftHead['standard']) => edit({ kind: 'head', changes: { standard } })
  return (
    <View className="gap-1">
      <Heading>{t('editor.standard')}</Heading>
      <Text size="small" tone="ash">
        {t('editor.standardHow')}
      </Text>
      {head.standard ? (
        <View className="flex-row flex-wrap items-center gap-3">
          <Text weight="bold">
            {t('editor.bound', {
              n: head.standard.lines.length,
              percent: Math.round((head.standard.lines[0]?.toleranceFraction ?? 0) * 100),
            })}
          </Text>
          <Button size="body" label={t('editor.unbind')} onPress={() => set(null)} />
        </View>
      ) : (
        <Button
          size="body"
          label={t('editor.bind')}
          onPress={() => components.length > 1 && set(standardOf(head.name.trim() || 'dish', components, TOLERANCE))}
        />
      )}
    </View>
  )
}
