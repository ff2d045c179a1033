import type { Run } from 'contract/run'
import { allergenListOf } from 'core/book/allergens'
import type { Allergen } from 'core/book/ingredient'
import type { Substitute } from 'core/book/variation/substitutes'
import { notInYet } from 'core/wok/leftOut'
import type { StandIn } from 'core/wok/runEvent'
import { ingredientsOf, standInsFor } from 'core/wok/standIn'
import { useState } from 'react'
import { Pressable, View } from 'react-native'
import { useDishes } from '../book/useDishes'
import { useShelf } from '../book/useShelf'
import { useLineState } from '../line/plan/useLineState'
import { useKitchen } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import { Button } from '../ui/Button'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { capital } from '../words/format'
import { useWords } from '../words/i18n'
import type { Cook } from './useCook'

type Props = { run: Run; cook: Cook; onClose: () => void }

/** What has not gone in yet and is not there: something stands in for it, or it is left out of the rest; noted either way. */
export function RanOut({ run, cook, onClose }: Props) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const [pickedId, setPickedId] = useState<string | null>(null)
  const items = notInYet(cook.state.steps, cook.state.stepIndex)
  const picked = items.find(({ componentId }) => componentId === pickedId)
  const say = (name: string, componentId: string, standIn: StandIn | null) => {
    const eventId = cook.ranOut(componentId, standIn)
    const said = standIn
      ? t('troubles.standInLogged', { name: capital(standIn.name), of: name })
      : t('troubles.ranOutLogged', { name: capital(name) })
    toast(said, () => cook.undo(eventId))
    onClose()
  }
  return (
    <View className="py-2">
      <Text size="amount" weight="bold" stretch="slim">
        {t('troubles.ranOut')}
      </Text>
      <Text tone="ash" stretch="slim">
        {t(items.length === 0 ? 'troubles.ranOutNone' : 'troubles.ranOutDetail')}
      </Text>
      <View className="flex-row flex-wrap gap-x-3">
        {items.map(({ componentId, name, massG }) => (
          <Pressable
            key={componentId}
            role="button"
            aria-label={`${t('troubles.ranOut')} ${name}`}
            aria-expanded={componentId === pickedId}
            className="ring-focus min-h-14 w-[47%] justify-center border-b border-edge active:bg-plate"
            onPress={() => setPickedId(componentId === pickedId ? null : componentId)}
          >
            <Text
              size="step"
              weight={componentId === pickedId ? 'bold' : 'semi'}
              stretch="narrow"
              className={componentId === pickedId ? 'self-start border-b-[3px] border-rice' : ''}
            >
              {t('troubles.forgotItem', { name, mass: mass(massG) })}
            </Text>
          </Pressable>
        ))}
      </View>
      {picked && (
        <WaysOn
          key={picked.componentId}
          run={run}
          componentId={picked.componentId}
          name={picked.name}
          massG={picked.massG}
          onWay={(standIn) => say(picked.name, picked.componentId, standIn)}
        />
      )}
    </View>
  )
}

/** What was tapped may stand at the lower edge: its ways on are brought into view. */
const bringIntoView = (view: View | null) => {
  if (view instanceof HTMLElement) view.scrollIntoView({ block: 'nearest' })
}

type WaysOnProps = {
  run: Run
  componentId: string
  name: string
  massG: number
  onWay: (standIn: StandIn | null) => void
}

/** Without it, or with one of what may stand in: what it brings stands on it. */
function WaysOn({ run, componentId, name, massG, onWay }: WaysOnProps) {
  const t = useWords('wok')
  const found = useStandIns(run, componentId)
  return (
    <View key={String(found === null)} ref={bringIntoView} className="gap-2 py-2">
      <Button kind="main" label={t('troubles.without', { name })} onPress={() => onWay(null)} />
      {found === null && <Text tone="ash">{t('troubles.tasteWaits')}</Text>}
      {found?.length === 0 && (
        <Text tone="ash">
          {t(run.allergies.length > 0 ? 'troubles.standInNoneAllergy' : 'troubles.standInNone', { name })}
        </Text>
      )}
      {found?.map((one) => (
        <StandInButton
          key={one.ingredient.id}
          one={one}
          massG={massG}
          onPress={() => onWay({ ingredientId: one.ingredient.id, name: one.component.name })}
        />
      ))}
    </View>
  )
}

function StandInButton({ one, massG, onPress }: { one: Substitute; massG: number; onPress: () => void }) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const names = useWords('ui')
  const words = (list: readonly Allergen[]) => list.map((each) => names(`allergens.${each}`)).join(', ')
  const { brings, mayBring, isUnknown } = one
  const detail = isUnknown
    ? t('troubles.standInUnknown')
    : [
        brings.length > 0 && t('troubles.standInBrings', { list: words(brings) }),
        mayBring.length > 0 && t('troubles.standInMay', { list: words(mayBring) }),
        brings.length + mayBring.length === 0 && t('troubles.standInSame'),
      ]
        .filter(Boolean)
        .join(' · ')
  return (
    <Button
      label={t('troubles.standIn', { name: one.component.name, mass: mass(massG) })}
      detail={detail}
      onPress={onPress}
    />
  )
}

/** What may stand in for a component of this batch; null while the book, the table or the kitchen is on its way. */
function useStandIns(run: Run, componentId: string): Substitute[] | null {
  const dishes = useDishes().data?.dishes
  const kitchen = useKitchen().data
  const { shelf } = useShelf()
  const { wishes } = useLineState()
  if (!dishes || !kitchen || !shelf) return null
  const component = dishes
    .find(({ id, version }) => id === run.dishId && version === run.dishVersion)
    ?.components.find(({ id }) => id === componentId)
  if (!component) return []
  const here = ingredientsOf(dishes)
  return standInsFor(component, shelf.rows, {
    allergies: run.allergies,
    list: allergenListOf(kitchen.ruleSet),
    isHere: (id) => here.has(id) && !wishes.goneMatters.includes(id),
  })
}
