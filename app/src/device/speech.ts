import { currentSettings } from './settings'

/** Says something aloud, where this device speaks; what was being said before is cut short. Loaded with the first word. */
export function speak(text: string): void {
  if (!currentSettings().speech || !('speechSynthesis' in globalThis)) return
  void import('expo-speech').then(async (speech) => {
    await speech.stop()
    speech.speak(text, { language: 'en', rate: 1.05 })
  })
}
