import i18next from 'i18next'
import { initReactI18next, useTranslation } from 'react-i18next'
import { book } from '../book/words.en'
import { currentSettings } from '../device/settings'
import { line } from '../line/words.en'
import { mise } from '../mise/words.en'
import { record } from '../record/words.en'
import { rice } from '../rice/words.en'
import { setup } from '../setup/words.en'
import { ui } from '../ui/words.en'
import { wok } from '../wok/words.en'
import { pseudo } from './pseudo'

const en = { ui, rice, mise, line, wok, record, book, setup }
type Catalogue = keyof typeof en

declare module 'i18next' {
  interface CustomTypeOptions {
    defaultNS: 'ui'
    resources: typeof en
  }
}

/** Makes the words ready before the first screen. The pseudo-locale is English stretched and accented, for tests. */
export function startWords(): void {
  void i18next.use(initReactI18next).init({
    lng: currentSettings().words === 'pseudo' ? 'en-XA' : 'en',
    fallbackLng: false,
    resources: { en, 'en-XA': pseudo(en) },
    defaultNS: 'ui',
    interpolation: { escapeValue: false },
    initAsync: false,
  })
  document.documentElement.lang = 'en'
}

/** The sentences of one stage. */
export const useWords = <T extends Catalogue>(catalogue: T) => useTranslation(catalogue).t
