import type { Ref, ShallowRef } from 'vue'
import type { Lens } from '@murrabel/core/lens'
import type { ThreadAnswer } from '@murrabel/contract'
import type { useEntryList } from '../../composables/useEntryList.ts'

/** The open thread with the list it stands in: what its actions work on. */
export interface ThreadDesk {
  lens: Ref<Lens>
  entries: ReturnType<typeof useEntryList>
  thread: ShallowRef<ThreadAnswer | null>
  threadId: Ref<number | null>
  loadThread(): Promise<void>
  loadTide(): Promise<void>
  /** Gives a text that was called back to the writer. */
  putBack(text: string): void
}
