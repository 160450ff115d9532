/** What the watches of a group are about. */
export const groupKinds = [
  'brand',
  'people',
  'places',
  'products',
  'rivals',
  'trade',
  'links',
  'other',
] as const

export type GroupKind = (typeof groupKinds)[number]
