import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import { incompleteWholes, piecesOf } from '../../store/queries/intake/pieces.ts'
import { ingest } from './ingest.ts'
import { wholesOf, type KeptItem } from './joinPieces.ts'

/** What has waited long enough goes in with its gaps; what comes later fills them. */
export async function joinLate(context: Context, { id }: Piece): Promise<WorkOutcome> {
  const profile = await context.models.Profile.findByPk(id)
  if (!profile) return 'done'
  const wholes = (await incompleteWholes(context.db, id)).map(({ whole }) => whole)
  const pieces = await piecesOf<KeptItem>(context.db, { profileId: id, wholes })
  const items = wholesOf(pieces).map(({ item }) => item)
  if (items.length) await ingest(context, profile, items)
  return 'done'
}
