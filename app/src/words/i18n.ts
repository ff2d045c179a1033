import i18next, { type TFunction } from 'i18next'
import type { book } from '../book/words.en'
import { currentSettings } from '../device/settings'
import { line } from '../line/words.en'
import type { mise } from '../mise/words.en'
import type { record } from '../record/words.en'
import type { rice } from '../rice/words.en'
import type { setup } from '../setup/words.en'
import { people } from '../people/words.en'
import { ui } from '../ui/words.en'
import { steps } from '../wok/steps.en'
import type { wok } from '../wok/words.en'
import { pseudo } from './pseudo'

/** Words that the line shows at once; those of the other stages are loaded with their screens. */
const FIRST = { ui, line, steps, people }
const LATER = {
  wok: async () => (await import('../wok/words.en')).wok,
  rice: async () => (await import('../rice/words.en')).rice,
  mise: async () => (await import('../mise/words.en')).mise,
  record: async () => (await import('../record/words.en')).record,
  book: async () => (await import('../book/words.en')).book,
  setup: async () => (await import('../setup/words.en')).setup,
} as const
export type LaterWords = keyof typeof LATER

type Resources = typeof FIRST & {
  wok: typeof wok
  rice: typeof rice
  mise: typeof mise
  record: typeof record
  book: typeof book
  setup: typeof setup
}
type Catalogue = keyof Resources

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'ui'
    resources: Resources
  }
}

const said = new Map<Catalogue, unknown>()

const isPseudo = () => currentSettings().words === 'pseudo'

/** Makes the words of the line, and more where they are given, ready before the first screen. The pseudo-locale is English stretched and accented, for tests. */
export function startWords(more: Partial<Resources> = {}): void {
  const words = { ...FIRST, ...more }
  said.clear()
  void i18next.init({
    lng: isPseudo() ? 'en-XA' : 'en',
    fallbackLng: false,
    resources: { [isPseudo() ? 'en-XA' : 'en']: isPseudo() ? pseudo(words) : words },
    defaultNS: 'ui',
    interpolation: { escapeValue: false },
    initAsync: false,
  })
  document.documentElement.lang = 'en'
}

/** Loads the words of stages that are about to be shown. */
export async function loadWords(names: readonly LaterWords[]): Promise<void> {
  await Promise.all(
    names.map(async (name) => {
      if (i18next.hasResourceBundle(i18next.language, name)) return
      const words = await LATER[name]()
      i18next.addResourceBundle(i18next.language, name, isPseudo() ? pseudo(words) : words)
    }),
  )
}

/** The sentences of one stage. */
export function useWords<T extends Catalogue>(catalogue: T): TFunction<[T]> {
  const t = said.get(catalogue) ?? rememberingWords(catalogue)
  said.set(catalogue, t)
  return t as TFunction<[T]>
}

/** What has no value in it is looked up once: a screen asks for the same fifty sentences each time it is drawn. */
function rememberingWords(catalogue: Catalogue): (key: string, values?: object) => string {
  const t = i18next.getFixedT(null, catalogue) as (key: string, values?: object) => string
  const known = new Map<string, string>()
  return (key, values) => {
    if (values !== undefined) return t(key, values)
    const before = known.get(key)
    if (before !== undefined) return before
    const sentence = t(key)
    // A sentence that is not loaded yet comes back as its key.
    if (sentence !== key) known.set(key, sentence)
    return sentence
  }
}
