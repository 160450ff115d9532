import dayjs from 'dayjs'
import en from 'element-plus/es/locale/lang/en'
import { shallowRef } from 'vue'
import type { Language } from './language.ts'

/** Texts of Element Plus's own parts, such as months in a calendar. */
export const elementTexts = shallowRef<typeof en>(en)

/** Weeks begin on Monday where we are, in every language. */
const monday = { weekStart: 1 }

/** Gives Element Plus its own texts in a language. */
export async function speakElement(language: Language): Promise<void> {
  if (language === 'fr') {
    const [texts] = await Promise.all([import('element-plus/es/locale/lang/fr'), import('dayjs/locale/fr')])
    elementTexts.value = texts.default
  } else elementTexts.value = en
  dayjs.locale(language, { ...dayjs.Ls[language], name: language, ...monday })
}
