import '../device/zodJitless'
import '../global.css'
import { Slot } from 'expo-router'
import { View } from 'react-native'
import { SafeAreaProvider } from 'react-native-safe-area-context'
import { useLive } from '../live/useLive'
import { useTheme } from '../device/theme'
import { startWords } from '../words/i18n'
import { Kept } from '../live/Kept'
import { registerShell } from '../device/shell'

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
  useLive()
  return (
    <View className="min-h-0 flex-1 bg-ground">
      <Slot />
    </View>
  )
}
