import { inject, provide, type InjectionKey, type Ref } from 'vue'
import { searchPlaces, type Lens } from '@murrabel/core/lens'
import type { Span } from '@murrabel/contract'

const key: InjectionKey<Ref<Lens>> = Symbol('search')

/** Lets everything on a page mark what its lens looks for. */
export const provideSearch = (lens: Ref<Lens>): void => provide(key, lens)

/** Where a text holds what the page looks for; nowhere on a page without a search. */
export function useSearchPlaces(): (text: string | null) => Span[] {
  const lens = inject(key, null)
  return (text) => (text && lens ? searchPlaces(text, lens.value) : [])
}
