import type { Lens } from './lens.ts'

/** A changeable phrase of the lens sentence: which message says it, with which values. */
export interface LensPart {
  field:
    | 'state'
    | 'kinds'
    | 'channels'
    | 'places'
    | 'sentiments'
    | 'givenTo'
    | 'watch'
    | 'languages'
    | 'voice'
    | 'story'
    | 'phrase'
    | 'aspect'
    | 'weekHour'
    | 'tags'
    | 'kept'
    | 'words'
    | 'range'
    | 'order'
  /** Name of the message under "lens.<field>". */
  message: string
  /** What the message names: ids or words, put into the reader's language by whoever shows it. */
  values: (string | number)[]
  /** Differs from "everything": drawn stronger. */
  narrows: boolean
}

const listPart = (field: LensPart['field'], values: readonly (string | number)[]): LensPart => ({
  field,
  message: values.length === 0 ? 'all' : values.length === 1 ? 'one' : 'some',
  values: [...values],
  narrows: values.length > 0,
})

const onePart = (field: LensPart['field'], value: string | number | null): LensPart => ({
  field,
  message: value === null ? 'all' : 'one',
  values: value === null ? [] : [value],
  narrows: value !== null,
})

/** The phrases of the sentence that describes a lens, by field. The order of words is the language's affair. */
export function lensParts(lens: Lens): LensPart[] {
  const { givenTo, range } = lens
  return [
    { field: 'state', message: lens.state, values: [], narrows: lens.state !== 'any' },
    listPart('kinds', lens.kinds),
    listPart('channels', lens.channels),
    listPart('places', lens.places),
    listPart('sentiments', lens.sentiments),
    {
      field: 'givenTo',
      message: typeof givenTo === 'number' ? 'colleague' : givenTo,
      values: typeof givenTo === 'number' ? [givenTo] : [],
      narrows: givenTo !== 'anybody',
    },
    {
      field: 'watch',
      message: lens.watch !== null ? 'one' : lens.group !== null ? 'group' : 'all',
      values: [lens.watch ?? lens.group].filter((id) => id !== null),
      narrows: lens.watch !== null || lens.group !== null,
    },
    listPart('languages', lens.languages),
    onePart('voice', lens.voice),
    onePart('story', lens.story),
    onePart('phrase', lens.phrase || null),
    {
      ...onePart('aspect', lens.aspect?.id ?? null),
      message: !lens.aspect ? 'all' : lens.aspect.sentiment ? 'sentiment' : 'one',
      values: lens.aspect ? [lens.aspect.id, ...(lens.aspect.sentiment ? [lens.aspect.sentiment] : [])] : [],
    },
    onePart('weekHour', lens.weekHour),
    listPart('tags', lens.tags),
    { field: 'kept', message: lens.kept ? 'one' : 'all', values: [], narrows: lens.kept },
    {
      field: 'words',
      message: lens.words ? 'one' : 'all',
      values: lens.words ? [lens.words] : [],
      narrows: lens.words !== '',
    },
    {
      field: 'range',
      message: !range ? 'all' : 'last' in range ? 'last' : range.from === range.to ? 'day' : 'span',
      values: !range ? [] : 'last' in range ? [range.last] : [range.from, range.to],
      narrows: range !== null,
    },
    { field: 'order', message: lens.order, values: [], narrows: false },
  ]
}
