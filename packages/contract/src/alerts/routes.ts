import { can } from '../shared/access.ts'
import type { AlertAnswer, AlertEventAnswer, AlertTrialAnswer, BellAnswer, FeedAddresses } from './answers.ts'
import type { AlertDraft, AlertTrialDraft } from './schemas.ts'
import { get, post, put, remove } from '../shared/route.ts'

/** Routes of alerts, the bell and secret feeds. */
export const alertsRoutes = {
  alerts: get<AlertAnswer[]>('/api/alerts', can('look', 'seen')),
  tryAlert: post<AlertTrialDraft, AlertTrialAnswer>('/api/alerts/trial', can('look', 'seen', 'small')),
  createAlert: post<AlertDraft, AlertAnswer>('/api/alerts', can('watch', 'seen', 'small')),
  updateAlert: put<AlertDraft, AlertAnswer>('/api/alerts/:id', can('watch', 'seen', 'small')),
  deleteAlert: remove<undefined>('/api/alerts/:id', can('watch', 'seen')),
  restoreAlert: post<undefined, AlertAnswer>('/api/alerts/:id/restore', can('watch', 'seen', 'small')),
  alertEvents: get<AlertEventAnswer[]>('/api/alerts/:id/events', can('look', 'seen')),
  alertFeed: post<undefined, FeedAddresses>('/api/alerts/:id/feed', can('watch', 'seen', 'small')),
  alertFeedOff: remove<FeedAddresses>('/api/alerts/:id/feed', can('watch', 'seen')),
  bell: get<BellAnswer>('/api/bell', can('look', 'seen')),
  bellSeen: put<{ upTo: number }, undefined>('/api/bell/seen', can('look', 'self', 'small')),
  watchFeedState: get<FeedAddresses>('/api/watches/:id/feed', can('watch', 'brand')),
  watchFeed: post<undefined, FeedAddresses>('/api/watches/:id/feed', can('watch', 'brand', 'small')),
  watchFeedOff: remove<FeedAddresses>('/api/watches/:id/feed', can('watch', 'brand')),
} as const
