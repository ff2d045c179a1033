import { currentSettings } from './settings'

/** What the ear and the hand are told: each its own pattern, so that it is known without a look. */
type Signal = 'next' | 'soon' | 'check' | 'over' | 'trouble'

const TONES: Readonly<Record<Signal, readonly { hz: number; atS: number; lastsS: number }[]>> = {
  next: [
    { hz: 880, atS: 0, lastsS: 0.16 },
    { hz: 1320, atS: 0.18, lastsS: 0.22 },
  ],
  soon: [{ hz: 660, atS: 0, lastsS: 0.1 }],
  check: [0, 0.25, 0.5].map((atS) => ({ hz: 990, atS, lastsS: 0.18 })),
  over: [
    { hz: 660, atS: 0, lastsS: 0.2 },
    { hz: 880, atS: 0.22, lastsS: 0.2 },
    { hz: 1100, atS: 0.44, lastsS: 0.35 },
  ],
  trouble: [{ hz: 330, atS: 0, lastsS: 0.4 }],
}

const PULSES_MS: Readonly<Record<Signal, number[]>> = {
  next: [120],
  soon: [40],
  check: [180, 90, 180, 90, 180],
  over: [300],
  trouble: [500],
}

let audio: AudioContext | null = null

/** Browsers let a page sound only after a touch: called on every press, cheap once it is open. */
export function openSound(): void {
  if (!currentSettings().sound || typeof AudioContext === 'undefined') return
  audio ??= new AudioContext()
  if (audio.state === 'suspended') void audio.resume()
}

/** Runs at different stations sound at different heights. */
const VOICES = [1, 0.75, 1.26, 0.63] as const

/** `voice` tells runs apart: the number of the station. */
export function give(signal: Signal, voice = 0): void {
  const { sound, vibration } = currentSettings()
  // A page that nobody has touched yet may not vibrate, and browsers complain of the try.
  const isTouched = navigator.userActivation?.hasBeenActive ?? true
  if (vibration && isTouched && 'vibrate' in navigator) navigator.vibrate(PULSES_MS[signal])
  if (!sound || audio?.state !== 'running') return
  for (const { hz, atS, lastsS } of TONES[signal])
    tone(audio, hz * VOICES[voice % VOICES.length]!, audio.currentTime + atS, lastsS)
}

function tone(context: AudioContext, hz: number, atS: number, lastsS: number): void {
  const oscillator = context.createOscillator()
  const gain = context.createGain()
  oscillator.frequency.value = hz
  gain.gain.setValueAtTime(0.0001, atS)
  gain.gain.exponentialRampToValueAtTime(0.5, atS + 0.02)
  gain.gain.exponentialRampToValueAtTime(0.0001, atS + lastsS)
  oscillator.connect(gain).connect(context.destination)
  oscillator.start(atS)
  oscillator.stop(atS + lastsS + 0.02)
}
