import { eld } from 'eld'

let loading: Promise<unknown> | undefined

/** Loads the detector's data once (about 70 MB in memory, half a second); to be awaited before `detectLanguage`. */
export async function loadLanguages(): Promise<void> {
  loading ??= Promise.resolve((eld as typeof eld & { load(size: string): unknown }).load('medium'))
  await loading
}

const noise =
  /(?:https?:\/\/|www\.)\S+|[\w.+-]{1,64}@[\w.-]{1,255}|[@#][\p{L}\p{N}_]+|\p{Extended_Pictographic}/gu

/**
 * The language of a text as a BCP 47 tag, or `und` when there is too little to go by (fewer than two words, or a
 * detector that is not sure of it). Links, handles, tags and emoji are left out of the reading.
 *
 * @throws when `loadLanguages` was not awaited
 */
export function detectLanguage(text: string): string {
  if (!loading) throw new Error('detectLanguage: await loadLanguages() first')
  const plain = text.slice(0, 2000).replace(noise, ' ').trim()
  const words = plain.match(/\p{L}+/gu) ?? []
  const cjk = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u.test(plain)
  if (!cjk && (words.length < 2 || plain.length < 8)) return 'und'
  const result = eld.detect(plain)
  if (!result.language) return 'und'
  return words.length >= 4 || cjk || result.isReliable() ? result.language : 'und'
}
