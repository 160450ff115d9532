import type { Readable } from 'node:stream'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  pictureById,
  setPicture,
  setPictureFailed,
  type PictureRow,
} from '../../store/queries/attachments/pictures.ts'

const pictureBytes = 10_000_000

/**
 * A picture of an entry as it is shown: fetched by us when somebody looks at it first, and kept from then on, so that a
 * network learns nothing of who reads, and what it takes away later is still seen as it was.
 *
 * @throws Refusal notFound, pictureNotFetched
 */
export async function openPicture(context: Context, reader: Reader, id: number): Promise<Readable> {
  const row = await pictureById(context.db, reader, id)
  if (!row) throw new Refusal('notFound')
  const kept = row.preview && (await context.files.read(row.preview).catch(() => null))
  if (kept) return kept
  if (row.failedLately) throw new Refusal('pictureNotFetched')
  // Several who look at the same moment fetch it once.
  const key = await context.sharedRuns.ask(`picture ${id}`, async () => {
    const now = await pictureById(context.db, reader, id)
    return now?.preview && now.preview !== row.preview ? now.preview : fetchPicture(context, row)
  })
  return context.files.read(key)
}

async function fetchPicture(context: Context, { id, address, network }: PictureRow): Promise<string> {
  const { db, files, fileWorker, config, httpFor } = context
  const url = new URL(address)
  // What lies on the network itself is asked for like everything else there; anything else goes through the guard.
  const own = config.networks.find((each) => each.network === network)
  const isOwn = own !== undefined && new URL(own.address).origin === url.origin
  try {
    const bytes = await httpFor(isOwn ? network : url.host).bytes(address, { maxBytes: pictureBytes })
    const { picture } = await fileWorker.ask({ kind: 'sniff', bytes })
    if (!picture) throw new Error('it is no picture')
    const preview = await files.put(picture.preview)
    await setPicture(db, { id, preview, width: picture.width, height: picture.height })
    return preview
  } catch (error) {
    await setPictureFailed(db, id)
    throw new Refusal('pictureNotFetched', {}, { cause: error })
  }
}
