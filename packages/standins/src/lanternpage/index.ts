import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { servePictures } from '../shared/scenery.ts'
import { activityOf, eventActivity, hasPicture } from './activity.ts'
import { changingApi, figuresApi, readingApi, writingApi } from './api.ts'
import { publicPages } from './publicPages.ts'
import { LanternpageState, type NoteChange, type NoteRecord } from './state.ts'

export interface Lanternpage extends OwnedNetwork<LanternpageState> {
  /** Its author changes a note, or takes it away. */
  change(change: NoteChange): void
}

const publishing =
  ({ state, oauth, announce }: OwnedParts<LanternpageState>) =>
  (note: NoteRecord): NoteRecord => {
    state.add(note)
    announce(
      note.page,
      activityOf(note, { address: oauth.address, reactions: state.reactions, media: state.media }),
    )
    return note
  }

const changing =
  ({ state, oauth, announce }: OwnedParts<LanternpageState>) =>
  (change: NoteChange): void => {
    const note = state.standing(change.id)
    if (!note) return
    state.add(change)
    announce(
      note.page,
      eventActivity(state.streams.get(note.page)!.at(-1)!, {
        address: oauth.address,
        reactions: state.reactions,
        media: state.media,
      }),
    )
  }

/** Lanternpage, a network of pages: posts, comments, private messages. ActivityStreams 2.0 over OAuth 2.0. */
export async function startLanternpage(options: StandinOptions = {}): Promise<Lanternpage> {
  const state = new LanternpageState(options.journalFile ?? null)
  let change: Lanternpage['change'] = () => {}
  const running = await startOwnedNetwork(
    state,
    {
      name: 'Lanternpage',
      choices: () => [...state.pages.values()].filter((p) => !p.others).map(({ id, name }) => ({ id, name })),
      announcedAt: '/pages/:page',
      pages(parts) {
        change = changing(parts)
        const router = publicPages(state, publishing(parts), change)
        servePictures(router, (id) => {
          const note = state.standing(id)
          return note !== undefined && hasPicture(note)
        })
        state.media.serve(router)
        return router
      },
      api(api, parts) {
        const given = { ...parts, publish: publishing(parts), change }
        readingApi(api, given)
        figuresApi(api, given)
        writingApi(api, given)
        changingApi(api, given)
      },
    },
    options,
  )
  return { ...running, change: (record) => change(record) }
}
