import { densities, type Density } from '../stores/density.ts'
import { languageOf, type Language } from '../messages/language.ts'

/** How this browser shows things, as far as the server must know it to draw the first screen alike. */
export interface Shown {
  language: Language
  density: Density
}

export const shownCookie = 'murrabel_shown'
const yearSeconds = 31_536_000

/** As it stands in the cookie: "fr.compact". */
export const printShown = ({ language, density }: Shown): string => `${language}.${density}`

/** Reads the cookie; what it does not say is taken from the browser's languages, or is as usual. */
export function readShown(cookie: string | null, browser: readonly string[]): Shown {
  const [language = null, density] = cookie?.split('.') ?? []
  return {
    language: languageOf(language, browser),
    density: densities.find((each) => each === density) ?? 'usual',
  }
}

export function keepShown(shown: Shown): void {
  document.cookie = `${shownCookie}=${printShown(shown)}; path=/; max-age=${yearSeconds}; samesite=lax`
}
