import { createI18n } from 'vue-i18n'
import { en } from './en.ts'
import { fr } from './fr.ts'

/** The reader's language: what they chose, else the browser's, else English. */
export function languageOf(stored: string | null, browser: readonly string[]): 'en' | 'fr' {
  const wanted = [stored, ...browser].map((l) => l?.slice(0, 2)).find((l) => l === 'en' || l === 'fr')
  return wanted === 'fr' ? 'fr' : 'en'
}

export function createMessages() {
  const locale = languageOf(localStorage.getItem('murrabel.language'), navigator.languages)
  document.documentElement.lang = locale
  return createI18n({ legacy: false, locale, fallbackLocale: 'en', messages: { en, fr } })
}
