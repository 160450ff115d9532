import { can } from '../shared/access.ts'
import type { ItemApart, NetworkAnswer, OpmlAnswer, ProfileAnswer } from './answers.ts'
import type { EmailDraft } from './schemas.ts'
import { get, post } from '../shared/route.ts'

/** Routes of profiles and how they are connected. */
export const profilesRoutes = {
  networks: get<NetworkAnswer[]>('/api/networks', can('look', 'seen')),
  profiles: get<ProfileAnswer[]>('/api/profiles', can('look', 'seen')),
  connect: post<{ network: string }, { redirect: string }>(
    '/api/profiles/connect',
    can('setUp', 'brand', 'small'),
  ),
  connectFeed: post<{ address: string; name?: string }, ProfileAnswer>(
    '/api/profiles/feeds',
    can('setUp', 'brand', 'small'),
  ),
  exportFeeds: get<undefined>('/api/profiles/feeds.opml', can('look', 'seen')),
  importFeeds: post<{ file: string }, OpmlAnswer>('/api/profiles/opml', can('setUp', 'brand', 'large')),
  connectSearch: post<{ network: string }, ProfileAnswer>(
    '/api/profiles/searches',
    can('setUp', 'brand', 'small'),
  ),
  connectEmail: post<EmailDraft, ProfileAnswer>('/api/profiles/email', can('setUp', 'brand', 'small')),
  collectNow: post<undefined, undefined>('/api/profiles/:id/collect', can('setUp', 'seen', 'small')),
  disconnect: post<undefined, ProfileAnswer>('/api/profiles/:id/disconnect', can('setUp', 'seen', 'small')),
  itemsApart: get<ItemApart[]>('/api/profiles/:id/apart', can('look', 'seen')),
  tryApartAgain: post<undefined, { read: number; apart: number }>(
    '/api/profiles/:id/apart/retry',
    can('setUp', 'seen', 'small'),
  ),
} as const
