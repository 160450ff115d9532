export type { ChatSite } from '../../store/queries/chat/sites.ts'
export { followConversation } from './conversation.ts'
export { addChat, changeChat, chatSettings } from './sites.ts'
export { chatLimits, chatOn, chatState, noteVisitor, takeLine, takeMail, visitOf } from './visits.ts'
