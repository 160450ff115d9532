import { boolean, object } from 'yup'
import { edition, ids, line, plain } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

/** A lens to keep, as its address writes it. */
export const keptLensSchema = object({
  edition: edition(),
  name: line(60).required('a lens needs a name'),
  lens: plain(2000).default(''),
  team: boolean().default(false),
})
export interface KeptLensDraft {
  edition?: number
  name: string
  lens: string
  team?: boolean
}

/** One's own order of them. */
export const lensOrderSchema = object({ ids: ids(2 * limits.keptLenses).required() })
export interface LensOrderDraft {
  ids: number[]
}
