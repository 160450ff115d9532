/** How a brand's chat is set up, for the team. */
export interface ChatSiteAnswer {
  profileId: number
  /** By which the pages of the site name it. */
  key: string
  name: string
  /** Addresses of the pages it may stand on: scheme, host and port. */
  origins: string[]
  /** Minutes without an answer after which it asks for an e-mail address. */
  answerWithin: number
  /** The e-mail profile by which a conversation goes on. */
  mailProfileId: number | null
  greeting: string
  /** What is put into the pages. */
  tag: string
}

/** What the box needs to know before a word is said. */
export interface ChatStateAnswer {
  brand: string
  /** The brand's colour as `#rrggbb`; null: the box's own. */
  colour: string | null
  /** Address of the logo; null: none. */
  logo: string | null
  greeting: string
  /** Somebody is there now; and when they are next, where nobody is. */
  open: boolean
  opensAt: string | null
  answerWithin: number
  /** A conversation can go on by e-mail. */
  byMail: boolean
}

/** One line of a conversation, as a visitor sees it. */
export interface ChatLine {
  id: string
  from: 'visitor' | 'team'
  /** Who of the team wrote it. */
  name: string
  text: string
  at: string
  /** It went to their e-mail address. */
  byMail: boolean
}

/** What a visitor is told while the box is open. */
export type ChatEvent =
  /** Everything that was said so far; what the box has of it already is the same by its id. */
  | { kind: 'conversation'; lines: ChatLine[]; email: string | null }
  /** A line that is new, or says something else now. */
  | { kind: 'line'; line: ChatLine }
  /** A line that was taken back. */
  | { kind: 'gone'; id: string }
  /** Somebody of the team is writing. */
  | { kind: 'writing' }

/** What the team sees of a visitor. */
export interface ChatVisitor {
  name: string | null
  email: string | null
  language: string | null
  page: { url: string; title: string } | null
  /** The box is open in their browser. */
  present: boolean
}
