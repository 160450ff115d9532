import { can } from '../shared/access.ts'
import { get, post, remove } from '../shared/route.ts'
import type { AccessKey, CustomerDoor, MadeDoor, MadeKey } from './answers.ts'
import type { DoorDraft, KeyDraft } from './schemas.ts'

/** Routes of the keys of programs, and of the doors through which customers come in. */
export const keysRoutes = {
  accessKeys: get<AccessKey[]>('/api/keys', can('look', 'self')),
  makeKey: post<KeyDraft, MadeKey>('/api/keys', can('look', 'self', 'small')),
  removeKey: remove<undefined>('/api/keys/:id', can('look', 'self')),
  doors: get<CustomerDoor[]>('/api/doors', can('setUp', 'brand')),
  makeDoor: post<DoorDraft, MadeDoor>('/api/doors', can('setUp', 'brand', 'small')),
  /** A secret that came into wrong hands is changed; the old one signs no longer. */
  renewDoor: post<undefined, MadeDoor>('/api/doors/:id/secret', can('setUp', 'brand')),
  removeDoor: remove<undefined>('/api/doors/:id', can('setUp', 'brand')),
} as const
