import { can } from '../shared/access.ts'
import { get, post, put } from '../shared/route.ts'
import type { ChatSiteAnswer } from './answers.ts'
import type { ChatSiteDraft } from './schemas.ts'

/** Routes by which the team sets chats up, and tells visitors that it writes. */
export const chatRoutes = {
  addChat: post<ChatSiteDraft, ChatSiteAnswer>('/api/profiles/chats', can('setUp', 'brand', 'small')),
  chat: get<ChatSiteAnswer>('/api/profiles/:id/chat', can('look', 'seen')),
  changeChat: put<ChatSiteDraft, ChatSiteAnswer>('/api/profiles/:id/chat', can('setUp', 'seen', 'small')),
  writing: post<undefined, undefined>('/api/threads/:id/writing', can('answer', 'seen', 'small')),
} as const

/** Where the box asks, from pages of other origins and without a session. ":site" is a chat's key. */
export const chatPaths = {
  box: '/chat/box.js',
  state: '/chat/:site/state',
  line: '/chat/:site/lines',
  typing: '/chat/:site/typing',
  mail: '/chat/:site/mail',
  events: '/chat/:site/events',
} as const
