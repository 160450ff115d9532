import type {
  BrandAnswer,
  CountAnswer,
  EntryPage,
  ImportState,
  ItemApart,
  NetworkAnswer,
  OpmlAnswer,
  TagChangeAnswer,
  ProfileAnswer,
  ThreadAnswer,
  ThreadChangeAnswer,
  TideAnswer,
  WatchAnswer,
  WatchGroupAnswer,
} from './answers.ts'
import type {
  AspectDraft,
  BrandWord,
  CompareAnswer,
  FiguresAnswer,
  PhrasesAnswer,
  ProposedWatch,
  PublicProfile,
  ReadingAnswer,
  RivalsAnswer,
  SpikesAnswer,
  StandingsAnswer,
  TeachingAnswer,
  TunerAnswer,
  VoiceCard,
  VoicesAnswer,
  WatchesFile,
} from './watching.ts'
import type {
  AlertAnswer,
  AlertDraft,
  AlertEventAnswer,
  AlertTrialAnswer,
  AlertTrialDraft,
  BellAnswer,
  FeedAddresses,
} from './alerts.ts'
import type {
  GroupDraft,
  MarkDraft,
  PublicProfileDraft,
  StartingDraft,
  TunerDraft,
  VoiceDraft,
} from './watchSchemas.ts'
import type {
  CancelDraft,
  KeepDraft,
  ReplyDraft,
  SignIn,
  StartImportDraft,
  TagDraft,
  ThreadEventDraft,
  WatchDraft,
} from './schemas.ts'

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** A route: where it is, what it takes and what it answers. The two types exist for the compiler only. */
export interface Route<Body, Answer> {
  method: Method
  path: string
  readonly body?: Body
  readonly answer?: Answer
}

const route =
  (method: Method) =>
  <Body, Answer>(path: string): Route<Body, Answer> => ({ method, path })
const get = <Answer>(path: string) => route('GET')<undefined, Answer>(path)
const post = <Body, Answer>(path: string) => route('POST')<Body, Answer>(path)
const put = <Body, Answer>(path: string) => route('PUT')<Body, Answer>(path)
const remove = <Answer>(path: string) => route('DELETE')<undefined, Answer>(path)

/** Everything the server answers to a browser, by name. */
export const routes = {
  signIn: post<SignIn, BrandAnswer>('/api/session'),
  signOut: remove<undefined>('/api/session'),
  brand: get<BrandAnswer>('/api/brand'),
  live: get<undefined>('/api/live'),

  entries: get<EntryPage>('/api/entries'),
  entryCount: get<CountAnswer>('/api/entries/count'),
  tide: get<TideAnswer>('/api/tide'),
  exportCsv: get<undefined>('/api/entries/export.csv'),
  exportFeed: get<undefined>('/api/entries/export.json'),
  correct: put<{ label: string | null }, { sentiment: string }>('/api/entries/:id/sentiment'),

  thread: get<ThreadAnswer>('/api/threads/:id'),
  reply: post<ReplyDraft, ThreadChangeAnswer>('/api/threads/:id/replies'),
  threadEvent: post<ThreadEventDraft, ThreadChangeAnswer>('/api/threads/:id/events'),
  undo: post<undefined, ThreadChangeAnswer>('/api/threads/:id/events/:event/undo'),
  tagThreads: put<TagDraft, TagChangeAnswer>('/api/threads/tags'),
  keepEntries: put<KeepDraft, { changed: number[] }>('/api/entries/kept'),
  give: put<{ to: number | null }, ThreadChangeAnswer>('/api/threads/:id/given'),
  retryAction: post<undefined, undefined>('/api/actions/:id/retry'),
  cancelAction: post<CancelDraft, undefined>('/api/actions/:id/cancel'),

  watches: get<WatchAnswer[]>('/api/watches'),
  createWatch: post<WatchDraft, WatchAnswer>('/api/watches'),
  updateWatch: put<WatchDraft, WatchAnswer>('/api/watches/:id'),
  deleteWatch: remove<undefined>('/api/watches/:id'),
  restoreWatch: post<undefined, WatchAnswer>('/api/watches/:id/restore'),
  tuneWatch: post<TunerDraft, TunerAnswer>('/api/watches/tuner'),
  markHits: put<{ marks: MarkDraft[] }, undefined>('/api/watches/:id/marks'),
  pauseWatch: put<{ paused: boolean }, WatchAnswer>('/api/watches/:id/paused'),
  copyWatch: post<undefined, WatchAnswer>('/api/watches/:id/copy'),
  proposeWatches: post<StartingDraft, ProposedWatch[]>('/api/watches/proposals'),
  exportWatches: get<WatchesFile>('/api/watches/export.json'),
  importWatches: post<{ file: string }, { added: number; known: number }>('/api/watches/import'),
  groups: get<WatchGroupAnswer[]>('/api/groups'),
  createGroup: post<GroupDraft, WatchGroupAnswer>('/api/groups'),
  updateGroup: put<GroupDraft, WatchGroupAnswer>('/api/groups/:id'),
  deleteGroup: remove<undefined>('/api/groups/:id'),

  standings: get<StandingsAnswer>('/api/watching/standings'),
  figures: get<FiguresAnswer>('/api/watching/figures'),
  phrases: get<PhrasesAnswer>('/api/watching/phrases'),
  spikes: get<SpikesAnswer>('/api/watching/spikes'),
  compare: get<CompareAnswer>('/api/watching/compare'),
  rivals: get<RivalsAnswer>('/api/watching/rivals'),
  addPublicProfile: post<PublicProfileDraft, PublicProfile>('/api/public-profiles'),
  removePublicProfile: remove<undefined>('/api/public-profiles/:id'),
  voices: get<VoicesAnswer>('/api/voices'),
  voice: get<VoiceCard>('/api/voices/:id'),
  changeVoice: put<VoiceDraft, Required<VoiceDraft>>('/api/voices/:id'),

  teaching: get<TeachingAnswer>('/api/teaching'),
  saveWords: put<{ words: BrandWord[]; edition?: number }, TeachingAnswer>('/api/teaching/words'),
  saveAspects: put<{ aspects: AspectDraft[]; edition?: number }, TeachingAnswer>('/api/teaching/aspects'),
  wantLearning: put<{ wanted: boolean }, TeachingAnswer>('/api/teaching/learning'),
  learnNow: post<undefined, TeachingAnswer>('/api/teaching/learning'),
  tryReading: post<{ text: string; words?: BrandWord[] }, ReadingAnswer>('/api/teaching/reading'),
  correctMany: put<{ ids: number[]; label: string | null }, { changed: { id: number; before: string }[] }>(
    '/api/entries/sentiment',
  ),

  alerts: get<AlertAnswer[]>('/api/alerts'),
  tryAlert: post<AlertTrialDraft, AlertTrialAnswer>('/api/alerts/trial'),
  createAlert: post<AlertDraft, AlertAnswer>('/api/alerts'),
  updateAlert: put<AlertDraft, AlertAnswer>('/api/alerts/:id'),
  deleteAlert: remove<undefined>('/api/alerts/:id'),
  restoreAlert: post<undefined, AlertAnswer>('/api/alerts/:id/restore'),
  alertEvents: get<AlertEventAnswer[]>('/api/alerts/:id/events'),
  alertFeed: post<undefined, FeedAddresses>('/api/alerts/:id/feed'),
  alertFeedOff: remove<FeedAddresses>('/api/alerts/:id/feed'),
  bell: get<BellAnswer>('/api/bell'),
  bellSeen: put<{ upTo: number }, undefined>('/api/bell/seen'),
  watchFeedState: get<FeedAddresses>('/api/watches/:id/feed'),
  watchFeed: post<undefined, FeedAddresses>('/api/watches/:id/feed'),
  watchFeedOff: remove<FeedAddresses>('/api/watches/:id/feed'),

  networks: get<NetworkAnswer[]>('/api/networks'),
  profiles: get<ProfileAnswer[]>('/api/profiles'),
  connect: post<{ network: string }, { redirect: string }>('/api/profiles/connect'),
  connectFeed: post<{ address: string; name?: string }, ProfileAnswer>('/api/profiles/feeds'),
  exportFeeds: get<undefined>('/api/profiles/feeds.opml'),
  importFeeds: post<{ file: string }, OpmlAnswer>('/api/profiles/opml'),
  connectSearch: post<{ network: string }, ProfileAnswer>('/api/profiles/searches'),
  collectNow: post<undefined, undefined>('/api/profiles/:id/collect'),
  disconnect: post<undefined, ProfileAnswer>('/api/profiles/:id/disconnect'),
  itemsApart: get<ItemApart[]>('/api/profiles/:id/apart'),
  tryApartAgain: post<undefined, { read: number; apart: number }>('/api/profiles/:id/apart/retry'),

  imports: get<ImportState[]>('/api/imports'),
  /** The body is the file itself, as text; its kind and name stand in the query. */
  importDocument: post<string, ImportState>('/api/imports'),
  importState: get<ImportState>('/api/imports/:id'),
  startImport: post<StartImportDraft, ImportState>('/api/imports/:id/start'),
  dropImport: remove<undefined>('/api/imports/:id'),
} as const

export type RouteName = keyof typeof routes

/** Puts values in the place of ":name" in a path. */
export function pathOf(path: string, params: Record<string, string | number> = {}): string {
  return path.replace(/:([a-z]+)/g, (_, name: string) => {
    const value = params[name]
    if (value === undefined) throw new Error(`pathOf: ${path} needs ${name}`)
    return encodeURIComponent(value)
  })
}
