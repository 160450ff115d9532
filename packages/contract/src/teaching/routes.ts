import { can } from '../shared/access.ts'
import type { AspectDraft, BrandWord, DoubtsAnswer, ReadingAnswer, TeachingAnswer } from './answers.ts'
import { get, post, put } from '../shared/route.ts'

/** Routes of what the brand teaches. */
export const teachingRoutes = {
  teaching: get<TeachingAnswer>('/api/teaching', can('look', 'brand')),
  saveWords: put<{ words: BrandWord[]; edition?: number }, TeachingAnswer>(
    '/api/teaching/words',
    can('watch', 'brand', 'medium'),
  ),
  saveAspects: put<{ aspects: AspectDraft[]; edition?: number }, TeachingAnswer>(
    '/api/teaching/aspects',
    can('watch', 'brand', 'medium'),
  ),
  wantLearning: put<{ wanted: boolean }, TeachingAnswer>(
    '/api/teaching/learning',
    can('watch', 'brand', 'small'),
  ),
  learnNow: post<undefined, TeachingAnswer>('/api/teaching/learning', can('watch', 'brand', 'small')),
  tryReading: post<{ text: string; words?: BrandWord[] }, ReadingAnswer>(
    '/api/teaching/reading',
    can('look', 'shared', 'medium'),
  ),
  doubts: get<DoubtsAnswer>('/api/teaching/doubts', can('look', 'brand', 'medium')),
  saveDoubt: put<{ below: number }, DoubtsAnswer>('/api/teaching/doubts', can('watch', 'brand', 'small')),
} as const
