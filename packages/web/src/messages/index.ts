import { createI18n } from 'vue-i18n'
import { speakElement } from './elementTexts.ts'
import { en } from './en.ts'
import { languageOf, type Language } from './language.ts'

const textsOf: Record<Language, () => Promise<object>> = {
  en: async () => en,
  fr: async () => (await import('./fr.ts')).fr,
}
/** The texts of a language; those of English are part of the application, others are fetched when they are wanted. */
export const loadTexts = (language: Language): Promise<object> => textsOf[language]()

/** The application's texts, in the reader's language from the first word. */
export async function createMessages() {
  const locale = languageOf(localStorage.getItem('murrabel.language'), navigator.languages)
  document.documentElement.lang = locale
  const messages: Record<string, object> = { en }
  // Without them the page is in English rather than not there.
  if (locale !== 'en') messages[locale] = await loadTexts(locale).catch(() => ({}))
  await speakElement(locale).catch(() => {})
  return createI18n({ legacy: false, locale, fallbackLocale: 'en', messages: messages as { en: typeof en } })
}
