import { can } from '../shared/access.ts'
import type { ProposedWatch, TunerAnswer, WatchAnswer, WatchGroupAnswer, WatchesFile } from './answers.ts'
import type { CompareAnswer, FiguresAnswer, PhrasesAnswer, SpikesAnswer, SummariesAnswer } from './figures.ts'
import type { PublicProfile, RivalsAnswer } from './rivals.ts'
import type {
  GroupDraft,
  MarkDraft,
  PublicProfileDraft,
  StartingDraft,
  TunerDraft,
  VoiceDraft,
  WatchDraft,
} from './schemas.ts'
import type { VoiceCard, VoicesAnswer } from './voices.ts'
import { get, post, put, remove } from '../shared/route.ts'

/** Routes of watches, and what is seen of them. */
export const watchesRoutes = {
  watches: get<WatchAnswer[]>('/api/watches', can('look', 'seen')),
  createWatch: post<WatchDraft, WatchAnswer>('/api/watches', can('watch', 'brand', 'medium')),
  updateWatch: put<WatchDraft, WatchAnswer>('/api/watches/:id', can('watch', 'brand', 'medium')),
  deleteWatch: remove<undefined>('/api/watches/:id', can('watch', 'brand')),
  restoreWatch: post<undefined, WatchAnswer>('/api/watches/:id/restore', can('watch', 'brand', 'small')),
  tuneWatch: post<TunerDraft, TunerAnswer>('/api/watches/tuner', can('look', 'seen', 'medium')),
  markHits: put<{ marks: MarkDraft[] }, undefined>('/api/watches/:id/marks', can('watch', 'brand', 'medium')),
  pauseWatch: put<{ paused: boolean }, WatchAnswer>(
    '/api/watches/:id/paused',
    can('watch', 'brand', 'small'),
  ),
  copyWatch: post<undefined, WatchAnswer>('/api/watches/:id/copy', can('watch', 'brand', 'small')),
  proposeWatches: post<StartingDraft, ProposedWatch[]>(
    '/api/watches/proposals',
    can('look', 'shared', 'small'),
  ),
  exportWatches: get<WatchesFile>('/api/watches/export.json', can('look', 'shared')),
  importWatches: post<{ file: string }, { added: number; known: number }>(
    '/api/watches/import',
    can('watch', 'brand', 'large'),
  ),
  groups: get<WatchGroupAnswer[]>('/api/groups', can('look', 'shared')),
  createGroup: post<GroupDraft, WatchGroupAnswer>('/api/groups', can('watch', 'brand', 'small')),
  updateGroup: put<GroupDraft, WatchGroupAnswer>('/api/groups/:id', can('watch', 'brand', 'small')),
  deleteGroup: remove<undefined>('/api/groups/:id', can('watch', 'brand')),
  summaries: get<SummariesAnswer>('/api/watches/summaries', can('look', 'seen')),
  figures: get<FiguresAnswer>('/api/watches/figures', can('look', 'seen')),
  phrases: get<PhrasesAnswer>('/api/watches/phrases', can('look', 'seen')),
  spikes: get<SpikesAnswer>('/api/watches/spikes', can('look', 'seen')),
  compare: get<CompareAnswer>('/api/watches/compare', can('look', 'seen')),
  rivals: get<RivalsAnswer>('/api/watches/rivals', can('look', 'seen')),
  addPublicProfile: post<PublicProfileDraft, PublicProfile>(
    '/api/public-profiles',
    can('watch', 'brand', 'small'),
  ),
  removePublicProfile: remove<undefined>('/api/public-profiles/:id', can('watch', 'brand')),
  voices: get<VoicesAnswer>('/api/voices', can('look', 'seen')),
  voice: get<VoiceCard>('/api/voices/:id', can('look', 'seen')),
  changeVoice: put<VoiceDraft, Required<VoiceDraft>>('/api/voices/:id', can('answer', 'seen', 'small')),
} as const
