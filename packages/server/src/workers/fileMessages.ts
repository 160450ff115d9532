import type {
  FeedPreview,
  HistoryPreview,
  HolidaysAnswer,
  ImportPreview,
  RowProblem,
} from '@murrabel/contract'
import type { SniffedFile } from '../attachments/picture.ts'
import type { CollectedItem, ConnectorProfile, ParsedFeed, ReadMail } from '../connectors/index.ts'
import type { ListedFeed } from '../files/readOpml.ts'
import type { CustomerQuestion, ReadCustomer } from '../files/readCustomers.ts'
import type { ReadReview, ReviewQuestion } from '../files/readReviews.ts'

/** What is asked about outside documents: they are read beside the server's thread, however large or broken they are. */
export type FileQuestion =
  | { kind: 'feed'; document: string }
  | { kind: 'opml'; document: string }
  | { kind: 'holidays'; document: string; now: number }
  | { kind: 'mail'; bytes: Uint8Array }
  /** What a file is. */
  | { kind: 'sniff'; bytes: Uint8Array }
  /** Of a file that lies in the database. */
  | { kind: 'preview'; importId: number }
  | ({ kind: 'customers'; importId: number; from: number; count: number } & CustomersQuestion)
  | ({ kind: 'rows'; importId: number; from: number; count: number } & RowsQuestion)

/** How the rows of a file are to be read. */
export type RowsQuestion =
  | { of: 'reviews'; question: ReviewQuestion }
  | { of: 'mail'; profile: ConnectorProfile }
  | { of: 'chat' }
  | { of: 'feed'; name: string; now: number }

/** How customers of a file are to be read. */
export type CustomersQuestion =
  { of: 'customers'; question: CustomerQuestion } | { of: 'cards'; country: string | null }

export interface CustomersPage {
  items: ReadCustomer[]
  /** Of the whole file. */
  total: number
  problems: RowProblem[]
  refused: number
}

export interface RowsPage {
  items: (CollectedItem & Pick<ReadReview, 'place'>)[]
  /** Of the whole file. */
  total: number
  problems: RowProblem[]
  refused: number
}

/** What a file holds, of the kind that it is. */
export interface ImportPreviews {
  reviews: ImportPreview | null
  customers: ImportPreview | null
  feed: FeedPreview | null
  history: HistoryPreview | null
}

export type FileAnswer<Q extends FileQuestion> = Q extends { kind: 'feed' }
  ? ParsedFeed
  : Q extends { kind: 'opml' }
    ? ListedFeed[]
    : Q extends { kind: 'holidays' }
      ? HolidaysAnswer
      : Q extends { kind: 'mail' }
        ? ReadMail
        : Q extends { kind: 'sniff' }
          ? SniffedFile
          : Q extends { kind: 'preview' }
            ? ImportPreviews
            : Q extends { kind: 'customers' }
              ? CustomersPage
              : RowsPage
