import { createI18n } from 'vue-i18n'
import { en } from './en.ts'
import { languageOf, type Language } from './language.ts'

const textsOf: Record<Language, () => Promise<object>> = {
  en: async () => en,
  fr: async () => (await import('./fr.ts')).fr,
}
/** The texts of a language; those of English are part of the application, others are fetched when they are wanted. */
export const loadTexts = (language: Language): Promise<object> => textsOf[language]()

/** The reader's language, as this browser keeps it. */
export const readersLanguage = (): Language =>
  languageOf(localStorage.getItem('murrabel.language'), navigator.languages)

/** The application's texts, in a language from the first word. */
export async function createMessages(locale: Language) {
  const messages: Record<string, object> = { en }
  // Without them the page is in English rather than not there.
  if (locale !== 'en') messages[locale] = await loadTexts(locale).catch(() => ({}))
  return createI18n({ legacy: false, locale, fallbackLocale: 'en', messages: messages as { en: typeof en } })
}
