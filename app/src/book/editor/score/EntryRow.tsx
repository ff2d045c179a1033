import type { Cut } from 'core/book/dish'
import { PIN_SLOTS, pinOfSeconds, type Pin } from 'core/book/pins'
import Pushpin from 'lucide-react-native/icons/pin'
import { useState } from 'react'
import { Pressable, View } from 'react-native'
import { Choice } from '../../../ui/Choice'
import { Icon } from '../../../ui/icons'
import { SortableHandle, useSortableRow } from '../../../ui/sortable'
import { Text } from '../../../ui/Text'
import { formatClock } from '../../../words/format'
import { useWords } from '../../../words/i18n'
import { cutWords } from '../../dish/cutWords'
import type { PlacedEntry } from './entriesInOrder'
import { PullSeconds } from './PullSeconds'
import { useMassWords } from '../../../setup/useMassWords'

type EntryRowProps = {
  entry: PlacedEntry
  cut: Cut | null
  pins: readonly Pin[]
  /** Seconds that a pin holds it to; null where none does, or the engine could not keep it. */
  heldS: number | null
  onPin: (pin: Pin) => void
  onUnpin: () => void
}

/** One thing of the score: dragged by its handle, or opened and held where it belongs. */
export function EntryRow({ entry, cut, pins, heldS, onPin, onUnpin }: EntryRowProps) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const { row, handle } = useSortableRow(entry.componentId)
  const [isOpen, setIsOpen] = useState(false)
  const { componentId: component, name } = entry
  const slot = pins.flatMap((pin) => ('slot' in pin ? [pin.slot] : []))[0] ?? null
  const leaves = pins.flatMap((pin) => ('leaves' in pin ? [pin.leaves] : []))[0] ?? null
  return (
    <View {...row} role="listitem" className="border-b border-edge bg-ground">
      <View className="flex-row items-center gap-2">
        {entry.isPoured ? (
          <View className="w-7" />
        ) : (
          <SortableHandle handle={handle} label={t('scoreEditor.drag', { name })} />
        )}
        {entry.isPoured || entry.isOffFlame ? (
          <Text stretch="narrow" className="w-12">
            {formatClock(entry.atS)}
          </Text>
        ) : (
          <PullSeconds
            name={name}
            atS={entry.atS}
            seconds={heldS ?? entry.lastsS}
            onSeconds={(seconds) => onPin(pinOfSeconds(component, seconds))}
          />
        )}
        <Pressable
          role="button"
          disabled={entry.isPoured}
          aria-expanded={entry.isPoured ? undefined : isOpen}
          aria-label={t(entry.isPoured ? 'scoreEditor.poured' : 'scoreEditor.hold', { name })}
          onPress={() => setIsOpen(!isOpen)}
          className="ring-focus min-h-14 min-w-0 flex-1 flex-row items-center gap-2"
        >
          <View className="min-w-0 flex-1">
            <Text weight="bold" stretch="slim" numberOfLines={1}>
              {name}
            </Text>
            <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
              {[mass(entry.massG), cutWords(cut), entry.isOffFlame ? t('scoreEditor.offFlame') : '']
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
          {pins.length > 0 && <Icon as={Pushpin} sizePx={20} />}
        </Pressable>
      </View>
      {isOpen && (
        <View className="pb-2 pl-9">
          <View role="radiogroup" aria-label={t('scoreEditor.place', { name })} className="flex-row flex-wrap">
            {PIN_SLOTS.map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`scoreEditor.slots.${one}`)}
                isChosen={one === slot}
                onChoose={() => onPin({ component, slot: one })}
              />
            ))}
            {([true, false] as const).map((one) => (
              <Choice
                key={String(one)}
                role="radio"
                label={t(one ? 'scoreEditor.leaves' : 'scoreEditor.stays')}
                isChosen={one === leaves}
                onChoose={() => onPin({ component, leaves: one })}
              />
            ))}
            {pins.length > 0 && (
              <Choice role="radio" label={t('scoreEditor.unpin')} isChosen={false} onChoose={onUnpin} />
            )}
          </View>
        </View>
      )}
    </View>
  )
}
