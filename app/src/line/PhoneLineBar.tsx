import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Pressable, View } from 'react-native'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { BatchAmounts } from './BatchAmounts'
import { FireButton, FireNotices } from './FireBar'
import { ByHand } from './hand/ByHand'
import type { LineView } from './lineView'
import { useLineWords } from './lineWords'
import { useBatchRice } from './useSupplies'
import { useMassWords } from '../setup/useMassWords'

/** Under the thumb: what the batch takes in a line, what to say aloud, Fire, and a new ticket. */
export function PhoneLineBar({ line, batch, fire }: LineView) {
  const { mass } = useMassWords()
  const t = useWords('line')
  const router = useRouter()
  const words = useLineWords(line)
  const [isOpen, setIsOpen] = useState(false)
  const rice = useBatchRice(line, batch)
  return (
    <View className="gap-2">
      <FireNotices line={line} batch={batch} fire={fire} />
      {batch && (
        <Pressable
          role="button"
          aria-label={t('showAmounts')}
          onPress={() => setIsOpen(true)}
          className="ring-focus min-h-14 justify-center rounded-lg border border-edge px-3 active:bg-ground"
        >
          <Text weight="bold" stretch="slim" numberOfLines={1}>
            {[
              mass(batch.riceMassG),
              rice.names.length > 0 ? t('riceFrom', { name: rice.names.join(' + ') }) : '',
              rice.shortG > 0 ? t('riceShort', { mass: mass(rice.shortG) }) : '',
            ]
              .filter(Boolean)
              .join(' ')}
          </Text>
          <Text tone="ash" stretch="slim" numberOfLines={1}>
            {`${t('amounts')} · ${words.tickets(batch)}`}
          </Text>
        </Pressable>
      )}
      <View className="flex-row gap-2.5">
        <FireButton line={line} batch={batch} fire={fire} />
        <Button isTall label={t('addTicket')} className="w-[92px]" onPress={() => router.push('/line/add')} />
      </View>
      {batch && (
        <Sheet
          title={t('amountsOf', { dish: batch.dish.name, portions: t('portions', { count: batch.portions }) })}
          isOpen={isOpen}
          onClose={() => setIsOpen(false)}
        >
          <BatchAmounts batch={batch} />
          <ByHand line={line} batch={batch} />
        </Sheet>
      )}
    </View>
  )
}
