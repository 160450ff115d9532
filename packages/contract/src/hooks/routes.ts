import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { EventHook, HookDeliveries, HookDelivery, MadeHook } from './answers.ts'
import type { HookDraft } from './schemas.ts'

/** Routes of the addresses of other programs that hear what happens here, and of what was sent to them. */
export const hooksRoutes = {
  hooks: get<EventHook[]>('/api/event-hooks', can('setUp', 'brand')),
  makeHook: post<HookDraft, MadeHook>('/api/event-hooks', can('setUp', 'brand', 'small')),
  changeHook: put<HookDraft, EventHook>('/api/event-hooks/:id', can('setUp', 'brand', 'small')),
  renewHook: post<undefined, MadeHook>('/api/event-hooks/:id/secret', can('setUp', 'brand')),
  removeHook: remove<undefined>('/api/event-hooks/:id', can('setUp', 'brand')),
  /** A message that says nothing happened, to see whether it arrives. */
  tryHook: post<undefined, HookDelivery>('/api/event-hooks/:id/test', can('setUp', 'brand')),
  hookDeliveries: get<HookDeliveries>('/api/event-hooks/:id/deliveries', can('setUp', 'brand')),
  sendAgain: post<undefined, HookDelivery>('/api/hook-deliveries/:id/again', can('setUp', 'brand')),
} as const
