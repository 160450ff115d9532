import { useI18n } from 'vue-i18n'
import type { MessageGroup, MessageKey } from '../messages/keys.ts'

type Values = Record<string, unknown>
export interface Translate {
  (key: MessageKey): string
  (key: MessageKey, values: Values, plural?: number): string
  (key: MessageKey, plural: number): string
}
/** The text of a thing whose name comes from outside; what has no text is called by its name. */
export type Called = (group: MessageGroup, name: string | number, values?: Values, plural?: number) => string

/** Texts of the interface in the reader's language. */
export function useT(): { t: Translate; called: Called } {
  const { t, te } = useI18n()
  return {
    t: t as Translate,
    called(group, name, values = {}, plural = 1) {
      const key = `${group}.${name}`
      return te(key) ? t(key, values, plural) : String(name)
    },
  }
}
