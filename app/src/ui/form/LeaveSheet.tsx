import { View } from 'react-native'
import { useWords } from '../../words/i18n'
import { Button } from '../Button'
import { Sheet } from '../Sheet'
import { useLeaving } from './leave'

/** The question whether to leave; it stands once in the frame, above whatever is open. */
export function LeaveSheet() {
  const t = useWords('ui')
  const { go, stay, goAnyway } = useLeaving()
  if (go === null) return null
  return (
    <Sheet title={t('unsaved.title')} isOpen isQuestion onClose={stay}>
      <View className="gap-2">
        <Button isTall kind="main" label={t('unsaved.stay')} onPress={stay} />
        <Button isTall label={t('unsaved.leave')} onPress={goAnyway} />
      </View>
    </Sheet>
  )
}
