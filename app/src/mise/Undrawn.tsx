import { useRouter } from 'expo-router'
import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { Empty } from '../ui/states'
import { useIsWide } from '../ui/useIsWide'
import { useWords } from '../words/i18n'
import { MisePage, type MisePart } from './MisePage'

/** No plan yet: the way to draw one. */
export function Undrawn({ part, head }: { part: MisePart; head?: ReactNode }) {
  const t = useWords('mise')
  const router = useRouter()
  const isWide = useIsWide()
  const draw = <Button kind="main" isTall label={t('goServices')} onPress={() => router.push('/mise/services')} />
  return (
    <MisePage part={part} bar={draw} head={head}>
      <View className="min-h-64">
        <Empty isPage={head === undefined} title={t('undrawn')} detail={t('undrawnDetail')} />
      </View>
      {isWide && draw}
    </MisePage>
  )
}
