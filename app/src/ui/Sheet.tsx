import type { ReactNode } from 'react'
import { Modal, Pressable, ScrollView, View } from 'react-native'
import { useWords } from '../words/i18n'
import { leave } from './form/leave'
import { Text } from './Text'

/** A sheet at the thumb's side; the screen behind stays. Escape, the ground and Close shut it. */
export function Sheet({
  title,
  isOpen,
  onClose: close,
  isQuestion = false,
  children,
}: {
  title: string
  isOpen: boolean
  onClose: () => void
  /** Shut at once, whatever is unsaved behind it. */
  isQuestion?: boolean
  children: ReactNode
}) {
  const t = useWords('ui')
  const onClose = () => (isQuestion ? close() : leave(close))
  return (
    <Modal visible={isOpen} transparent animationType="none" onRequestClose={onClose} {...{ 'aria-label': title }}>
      <View className="flex-1 justify-end">
        <Pressable aria-hidden tabIndex={-1} onPress={onClose} className="absolute inset-0 bg-channel opacity-70" />
        <View className="max-h-[85%] w-full self-center rounded-t-2xl border border-edge bg-plate px-4 pb-4 pt-2 md:max-w-2xl">
          <View className="mb-1 h-1 w-12 self-center rounded bg-ash" />
          <View className="min-h-14 flex-row items-center justify-between">
            <Text role="heading" aria-level={2} size="title" weight="bold" className="flex-1">
              {title}
            </Text>
            <Pressable
              role="button"
              aria-label={t('close')}
              onPress={onClose}
              className="ring-focus min-h-14 min-w-14 items-center justify-center px-2"
            >
              <Text weight="semi">{t('close')}</Text>
            </Pressable>
          </View>
          <ScrollView tabIndex={0}>{children}</ScrollView>
        </View>
      </View>
    </Modal>
  )
}
