import type { Wish } from '@murrabel/core/meaning'
import type { AttachmentAnswer, PictureAnswer } from '../attachments/answers.ts'
import type { ApprovalAnswer } from '../approvals/answers.ts'
import type { ChatVisitor } from '../chat/answers.ts'
import type { ActionState } from '@murrabel/core/actions'
import type { UrgencyPart } from '@murrabel/core/inbox'
import type { EntryKind, Sentiment, ThreadState } from '@murrabel/core/lens'
import type { SentimentSpanAnswer } from '../entries/answers.ts'
import type { KeptDraft, NoteAnswer } from '../together/answers.ts'
import type { Span } from '../shared/span.ts'

/** One row of a list. */
export interface TagAnswer {
  id: number
  name: string
}

/** What a change of tags did, thread by thread, so that it can be taken back. */
export interface TagChangeAnswer {
  /** All tags of the brand. */
  tags: TagAnswer[]
  changed: { thread: number; added: number[]; removed: number[] }[]
}

export interface MailPerson {
  name: string
  address: string
}

export interface MailAnswer {
  from: MailPerson | null
  to: MailPerson[]
  cc: MailPerson[]
  /** What it quotes, and its signature. */
  folded: string
  /** It can be shown as it was laid out. */
  html: boolean
  /** A machine wrote it: an answering machine, the post about a mail that did not arrive, or a list. */
  automatic: 'reply' | 'failure' | 'bulk' | null
  /** It bears our own address, or its receiver could not prove its sender. */
  doubt: 'own' | 'unproven' | null
  /** Files that were not taken because there were too many. */
  filesLeftOut: number
}

export interface ThreadEntry {
  id: number
  direction: 'in' | 'out'
  /** Seen by its writer and whom it is for alone. */
  private: boolean
  kind: EntryKind
  author: string
  title: string | null
  text: string
  rating: number | null
  at: string
  /** What stood there before it was changed, oldest first; `until` when. */
  edits: { title: string | null; text: string; rating: number | null; until: string }[]
  /** When it was taken away outside, and its text with it. */
  deletedAt: string | null
  /** Its text was erased here because the customer asked for it. */
  erased: boolean
  language: string | null
  sentiment: Sentiment
  /** Name of the colleague who corrected the reading. */
  correctedBy: string | null
  confidence: number
  /** The reading of sentiment is in doubt, and nobody judged it. */
  doubt: boolean
  /** Its stars and its words tell against each other. */
  contradicts: boolean
  spans: SentimentSpanAnswer[]
  /** What is wanted of us, and the words it rests on; null where it is not told. */
  wish: { label: Wish; confidence: number; spans: SentimentSpanAnswer[] } | null
  /** Whether an answer is wanted, 0 to 1. */
  wantsAnswer: number | null
  url: string | null
  /** The network gave no date that can be: `at` is when it came in. */
  undated: boolean
  /** It can be reported to its network. */
  reportable: boolean
  /** That it was reported, and how far that is; whether it goes is the network's decision. */
  report: { id: number; state: ActionState; error: string | null; reason: string; at: string } | null
  /** It can be changed and taken back outside. */
  changeable: boolean
  /** A change that is on its way, or did not get through. */
  change: {
    id: number
    kind: 'edit' | 'remove'
    state: ActionState
    error: string | null
    text: string
  } | null
  /** Its envelope and what is beside its words, where it is a mail. */
  mail: MailAnswer | null
  attachments: AttachmentAnswer[]
  pictures: PictureAnswer[]
  /** As the network last told; null where it tells none. */
  likes: number | null
  shares: number | null
  /** What is done to bring it out, for an entry of ours. */
  action: {
    id: number
    state: ActionState
    attempts: number
    error: string | null
    uncertain: boolean
    /** When the network says that it arrived; null where it says nothing. */
    deliveredAt: string | null
    /** When it goes out, where a time was chosen. */
    sendAt: string | null
    /** What was written, where that is not the text as it stands here: its markup. */
    written: string | null
  } | null
}

export interface ThreadEventAnswer {
  id: number
  kind: string
  /** A colleague, or what acted by itself. */
  actor: 'colleague' | 'rule' | 'ask' | 'network' | 'system'
  by: string | null
  at: string
  detail: Record<string, unknown>
}

/** What a comment stands under, as it looks on the network. */
export interface PostAnswer {
  entryId: number
  author: string
  title: string | null
  text: string
  at: string
  url: string | null
  paid: boolean
  likes: number | null
  shares: number | null
  pictures: PictureAnswer[]
  /** What others said under it: how many, and the newest of them. */
  others: number
  said: { threadId: number; author: string; text: string; at: string; sentiment: Sentiment }[]
}

export interface ThreadAnswer {
  id: number
  edition: number
  kind: EntryKind
  /** The entry it is shown by. */
  leadId: number | null
  title: string | null
  url: string | null
  channel: string
  network: string
  profile: string
  profileId: number
  placeId: number | null
  state: ThreadState
  setAsideUntil: string | null
  givenTo: number | null
  /** The team whose it is until somebody of it takes it. */
  teamId: number | null
  priority: 0 | 1 | 2
  /** Its entries can be brought into one thread with others, or taken apart, by hand. */
  regroups: boolean
  /** Put aside as spam: by a person, or for what people said of another thread. */
  spam: { why: 'person' | 'sender' | 'words'; like: number | null } | null
  dueAt: string | null
  private: boolean
  paid: boolean
  tags: number[]
  urgency: { points: number; parts: UrgencyPart[] } | null
  entries: ThreadEntry[]
  events: ThreadEventAnswer[]
  person: {
    id: number
    name: string
    handle: string | null
    network: string
    since: string
    count: number
    /** What they said before, newest first, this thread left out. */
    before: {
      id: number
      threadId: number
      text: string
      at: string
      sentiment: Sentiment
      channel: string
      rating: number | null
    }[]
  } | null
  reply: {
    possible: boolean
    /** The profile that would answer. */
    as: string
    /** Characters. */
    maxLength: number
    /** It can also go to its author alone. */
    privately: boolean
    /** Files that can go with it: how many, and their bytes together; null: none. */
    files: { most: number; bytes: number; pictures?: boolean } | null
    /** Text messages it may be sent as, where the channel counts these; null: it does not. */
    maxParts: number | null
    public: boolean
    /** It goes by e-mail, to this address, instead of to where it was said. */
    /** The answer may be laid out: its text is markup (`@murrabel/core/markup`). */
    markup: boolean
    handedOff: { address: string } | null
    reason?: string
  }
  watches: { id: number; name: string; hits: Span[] }[]
  /** The post that this is said under; null where there is none, or we have not seen it. */
  post: PostAnswer | null
  /** For colleagues alone, oldest first. */
  notes: NoteAnswer[]
  /** Answers for which a lead's word was asked, oldest first. */
  approvals: ApprovalAnswer[]
  /** What whoever asks has begun to answer; null: nothing. */
  draft: KeptDraft | null
  /** What they have put beside it. */
  draftFiles: AttachmentAnswer[]
  /** Who writes from a page of the brand's own site. */
  visitor: ChatVisitor | null
}

export interface ThreadChangeAnswer {
  thread: {
    id: number
    state: ThreadState
    edition: number
    setAsideUntil: string | null
    givenTo: number | null
    teamId: number | null
    priority: 0 | 1 | 2
    spam: boolean
  }
  /** Threads that were put aside with it, for being like it. */
  also?: number
  /** The thread that was made of it. */
  made?: number
  /** To undo it with; null when nothing changed. */
  eventId: number | null
}

/** A thread whose mails could come into another. */
export interface Mergeable {
  id: number
  author: string
  title: string | null
  text: string
  at: string
  state: ThreadState
  /** Of the same person; otherwise about the same subject. */
  samePerson: boolean
}

/** What a change of many threads did. */
export interface ManyChangeAnswer {
  /** With what takes it back; those that were so already are not among them. */
  changed: { thread: number; event: number }[]
  refused: { thread: number; code: string }[]
}

export interface ManyUndoAnswer {
  undone: number[]
  /** What stands in the way: usually that somebody did something since. */
  refused: { thread: number; code: string }[]
}
