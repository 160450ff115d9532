import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type {
  ColleagueSetUp,
  ColleaguesAnswer,
  Invitation,
  InvitationCard,
  RecoveryCodes,
  SecondFactorAnswer,
  SecondFactorBegun,
  SessionAnswer,
} from './answers.ts'
import type {
  CodeDraft,
  ColleagueDraft,
  InvitationDraft,
  JoinDraft,
  LeaveDraft,
  PasswordDraft,
  Proven,
} from './schemas.ts'

/** Routes of who works on the brand, how they come and go, and of one's own password and devices. */
export const colleaguesRoutes = {
  colleagues: get<ColleaguesAnswer>('/api/set-up/colleagues', can('setUp', 'brand')),
  changeColleague: put<ColleagueDraft, ColleagueSetUp>(
    '/api/set-up/colleagues/:id',
    can('setUp', 'brand', 'small'),
  ),
  leave: post<LeaveDraft, undefined>('/api/set-up/colleagues/:id/leave', can('setUp', 'brand', 'small')),
  invite: post<InvitationDraft, Invitation>('/api/set-up/invitations', can('setUp', 'brand', 'small')),
  takeBackInvitation: remove<undefined>('/api/set-up/invitations/:id', can('setUp', 'brand')),
  changePassword: put<PasswordDraft, undefined>('/api/me/password', can('look', 'self', 'small')),
  sessions: get<SessionAnswer[]>('/api/me/sessions', can('look', 'self')),
  endSession: remove<undefined>('/api/me/sessions/:id', can('look', 'self')),
  secondFactor: get<SecondFactorAnswer>('/api/me/second-factor', can('look', 'self')),
  beginSecondFactor: post<Proven, SecondFactorBegun>('/api/me/second-factor', can('look', 'self', 'small')),
  /** The app's first code shows that it has the secret: on from now. */
  confirmSecondFactor: put<CodeDraft, RecoveryCodes>('/api/me/second-factor', can('look', 'self', 'small')),
  endSecondFactor: post<Proven, undefined>('/api/me/second-factor/off', can('look', 'self', 'small')),
  /** New ones in place of all there were. */
  newRecoveryCodes: post<Proven, RecoveryCodes>('/api/me/recovery-codes', can('look', 'self', 'small')),
  /** For whoever has lost app and codes. */
  liftSecondFactor: post<undefined, undefined>(
    '/api/set-up/colleagues/:id/second-factor/off',
    can('setUp', 'brand', 'small'),
  ),
  /** Whoever has the link of an invitation. */
  invitation: get<InvitationCard>('/api/invitations/:token', can('look', 'nobody')),
  join: post<JoinDraft, undefined>('/api/invitations/:token', can('look', 'nobody', 'small')),
  /** Always answered alike, so that nobody learns who has an account. */
  forgotPassword: post<{ email: string }, undefined>('/api/password-resets', can('look', 'nobody', 'small')),
  resetPassword: post<{ password: string }, undefined>(
    '/api/password-resets/:token',
    can('look', 'nobody', 'small'),
  ),
} as const
