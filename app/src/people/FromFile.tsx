import type { RestoredKitchen } from 'contract/archive'
import { View } from 'react-native'
import { chooseFile } from '../device/chooseFile'
import { Button } from '../ui/Button'
import { Notice } from '../ui/Notice'
import { useProblemSentence } from '../ui/states'
import { useWords } from '../words/i18n'
import { useRestore } from './useRestore'

/** The way in for a kitchen that is in a file already. */
export function FromFile({ onRestored }: { onRestored: (kitchen: RestoredKitchen) => void }) {
  const t = useWords('people')
  const { restore, sentShare } = useRestore()
  const problem = useProblemSentence(restore.error)
  const choose = async () => {
    const file = await chooseFile('.zip,application/zip')
    if (file) restore.mutate(file, { onSuccess: onRestored })
  }
  const percent = Math.floor(sentShare * 100)
  const progress = percent < 100 ? t('first.reading', { percent }) : t('first.checking')
  return (
    <View className="mt-2 gap-2 border-t border-edge pt-3">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Button
        label={t('first.fromFile')}
        detail={restore.isPending ? progress : t('first.fromFileDetail')}
        isBusy={restore.isPending}
        onPress={() => void choose()}
      />
    </View>
  )
}
