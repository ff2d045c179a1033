import { useQueryClient } from '@tanstack/react-query'
import { DishList, type Dish } from 'contract/dish'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { sendJson } from '../../device/http'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'

/** Takes a dish out of the book, by a held button; its versions stay for the runs that cooked them. */
export function TakeOut({ dish, onDone }: { dish: Dish; onDone: () => void }) {
  const t = useWords('book')
  const router = useRouter()
  const queries = useQueryClient()
  const [failure, setFailure] = useState<Error | null>(null)
  const sentence = useProblemSentence(failure)
  const takeOut = async () => {
    try {
      await sendJson('DELETE', `/dishes/${dish.id}?version=${dish.version}`, undefined, DishList)
      onDone()
      toast(t('editor.tookOut', { dish: dish.name }))
      await queries.invalidateQueries({ queryKey: ['book'] })
      router.replace('/book')
    } catch (error) {
      setFailure(error as Error)
    }
  }
  return (
    <View className="gap-2 pt-4">
      {failure && <Notice kind="conflict" isSmall title={sentence} />}
      <HoldButton
        kind="plain"
        label={t('editor.takeOut')}
        detail={t('editor.takeOutHold')}
        onHeld={() => void takeOut()}
      />
    </View>
  )
}
