import { can } from '../shared/access.ts'
import type { BrandAnswer, WelcomeAnswer } from './answers.ts'
import type { Fault, SignIn, SwitchDraft } from './schemas.ts'
import { get, post, put, remove } from '../shared/route.ts'

/** Routes of the session, the brand and what is told live. */
export const brandRoutes = {
  signIn: post<SignIn, BrandAnswer>('/api/session', can('look', 'nobody', 'small')),
  welcome: get<WelcomeAnswer>('/api/welcome', can('look', 'nobody')),
  /** The session goes over to another brand one works on. */
  switchBrand: put<SwitchDraft, undefined>('/api/session/brand', can('look', 'self', 'small')),
  signOut: remove<undefined>('/api/session', can('look', 'nobody')),
  brand: get<BrandAnswer>('/api/brand', can('look', 'seen')),
  tellFault: post<Fault, undefined>('/api/faults', can('look', 'self', 'small')),
  live: get<undefined>('/api/live', can('look', 'seen')),
} as const
