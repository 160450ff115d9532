import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { activityOf } from './activity.ts'
import { readingApi, writingApi } from './api.ts'
import { publicPages } from './publicPages.ts'
import { LanternpageState, type NoteRecord } from './state.ts'

export type Lanternpage = OwnedNetwork<LanternpageState>

const publishing =
  ({ state, oauth, announce }: OwnedParts<LanternpageState>) =>
  (note: NoteRecord): NoteRecord => {
    state.add(note)
    announce(note.page, activityOf(note, oauth.address))
    return note
  }

/** Lanternpage, a network of pages: posts, comments, private messages. ActivityStreams 2.0 over OAuth 2.0. */
export function startLanternpage(options: StandinOptions = {}): Promise<Lanternpage> {
  const state = new LanternpageState(options.journalFile ?? null)
  return startOwnedNetwork(
    state,
    {
      name: 'Lanternpage',
      choices: () => [...state.pages.values()].filter((p) => !p.others).map(({ id, name }) => ({ id, name })),
      announcedAt: '/pages/:page',
      pages: (parts) => publicPages(state, publishing(parts)),
      api(api, parts) {
        const given = { ...parts, publish: publishing(parts) }
        readingApi(api, given)
        writingApi(api, given)
      },
    },
    options,
  )
}
