import { definePart } from '../part.ts'
import { isId } from './shared.ts'

const fixed = ['anybody', 'me', 'nobody', 'meOrNobody'] as const
export type GivenTo = (typeof fixed)[number] | number

/** Whose thread it is: a colleague's id, or one of the fixed answers. */
export const givenTo = definePart({
  field: 'givenTo',
  name: 'given',
  blank: 'anybody' as GivenTo,
  print: String,
  parse: (text): GivenTo | undefined =>
    fixed.find((each) => each === text) ?? (isId(text) ? Number(text) : undefined),
  phrase: (value) => ({
    message: typeof value === 'number' ? 'colleague' : value,
    values: typeof value === 'number' ? [value] : [],
    narrows: value !== 'anybody',
  }),
  matches(value, { me }) {
    if (value === 'nobody') return (entry) => entry.givenTo === null
    if (value === 'meOrNobody') return (entry) => entry.givenTo === null || entry.givenTo === me
    const wanted = value === 'me' ? me : value
    return (entry) => entry.givenTo === wanted
  },
  sql(value, { bind, context: { me } }) {
    if (value === 'nobody') return 't.given_to IS NULL'
    if (value === 'meOrNobody') return `(t.given_to IS NULL OR t.given_to = ${bind(me)})`
    return `t.given_to = ${bind(value === 'me' ? me : value)}`
  },
  needsThread: true,
})
