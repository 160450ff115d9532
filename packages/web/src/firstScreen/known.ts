import { inject, type InjectionKey } from 'vue'

/** What the page came with: answers of the server, by the address they would have been asked for at. */
export type KnownAnswers = Readonly<Record<string, unknown>>

export const knownKey: InjectionKey<KnownAnswers> = Symbol('known answers')

/** In the browser: what the page came with, until the first screen stands. */
let held: KnownAnswers = {}

export function holdKnown(answers: KnownAnswers): void {
  held = answers
}
/** The first screen stands: whatever is asked for from now on is asked of the server. */
export function forgetKnown(): void {
  held = {}
}
/** The answer the page came with; nothing when there is none. */
export const knownAnswer = (address: string): unknown => held[address]

/** In a setup: what a part may begin with, before it asks for anything. */
export function useKnown<Answer>(): (address: string) => Answer | undefined {
  const given = inject(knownKey, null)
  return (address) => (given ?? held)[address] as Answer | undefined
}
