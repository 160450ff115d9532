import { boolean, type InferType, object, string } from 'yup'
import { id, line } from '../shared/fields.ts'

/** Which of day and month comes first in dates such as 03/04/2026. */
export const dateOrders = ['dayFirst', 'monthFirst'] as const

export type DateOrder = (typeof dateOrders)[number]

const column = () => line(200).nullable().default(null)

/** What a column of a table of customers can hold: who they are, and one visit of theirs. */
export const customerColumns = [
  'reference',
  'name',
  'givenName',
  'familyName',
  'email',
  'phone',
  'language',
  'tags',
  'note',
  'emailConsent',
  'phoneConsent',
  'visit',
  'at',
  'route',
  'ship',
  'place',
  'party',
  'price',
  'state',
] as const
export type CustomerColumn = (typeof customerColumns)[number]
type CustomerColumns = Record<CustomerColumn, ReturnType<typeof column>>

export const startImportSchema = object({
  /** Of reviews: which column holds what. */
  mapping: object({
    text: column(),
    rating: column(),
    at: column(),
    author: column(),
    title: column(),
    place: column(),
    outsideId: column(),
    url: column(),
  }).default({}),
  /** Of customers: which column holds what. */
  customers: object(
    Object.fromEntries(customerColumns.map((name) => [name, column()])) as CustomerColumns,
  ).default({}),
  /** Of customers: the country of telephone numbers without one, ISO 3166. */
  country: string()
    .matches(/^[A-Z]{2}$/, 'this is no country code, such as "GB"')
    .nullable()
    .default(null),
  /** Of mails and conversations: the profile they are the history of. */
  profileId: id().nullable().default(null),
  /** How dates such as 03/04/2026 are meant; needed where the column itself does not say. */
  dateOrder: string()
    .oneOf([...dateOrders])
    .nullable()
    .default(null),
  /** Takes in the good rows although others are refused; otherwise all or nothing. */
  anyway: boolean().default(false),
})

export type StartImportDraft = InferType<typeof startImportSchema>

export type ImportMapping = StartImportDraft['mapping']
export type CustomerMapping = StartImportDraft['customers']
