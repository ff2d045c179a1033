import '../device/zodJitless'
import '../global.css'
import { Slot, usePathname } from 'expo-router'
import { View } from 'react-native'
import { SafeAreaProvider } from 'react-native-safe-area-context'
import { useLive } from '../live/useLive'
import { useTheme } from '../device/theme'
import { PaperScreen } from '../people/PaperScreen'
import { usePaper } from '../people/paper'
import { useIsNobodyHere } from '../people/useIsNobodyHere'
import { useDoor } from '../people/useDoor'
import { lazyScreen } from '../ui/lazyScreen'
import { startWords } from '../words/i18n'
import { Kept } from '../live/Kept'
import { registerShell } from '../device/shell'

const FirstOwnerScreen = lazyScreen([], async () => (await import('../screens')).FirstOwnerScreen)
const PairScreen = lazyScreen([], async () => (await import('../screens')).PairScreen)
const RUN_PATH = /^\/wok\/[0-9a-f-]{36}$/

startWords()
registerShell()

export default function Layout() {
  return (
    <Kept>
      <SafeAreaProvider>
        <Shell />
      </SafeAreaProvider>
    </Kept>
  )
}

function Shell() {
  useTheme()
  const isIn = useDoor()
  useLive(isIn === true)
  const isEmpty = useIsNobodyHere(isIn === true)
  const paper = usePaper()
  const path = usePathname()
  // Whoever is at the flame sees the run to its end, even where the device was shut out meanwhile.
  const isOpen = isIn === true || path === '/pair' || RUN_PATH.test(path)
  return (
    <View className="min-h-0 flex-1 bg-ground">
      {isIn === false && !isOpen && <PairScreen code="" />}
      {isOpen && (isIn === true && paper ? <PaperScreen paper={paper} /> : isEmpty ? <FirstOwnerScreen /> : <Slot />)}
    </View>
  )
}
