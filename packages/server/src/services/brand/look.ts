import type { Readable } from 'node:stream'
import type { BrandLook, LookDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import * as stored from '../../store/queries/brand/look.ts'
import { record } from '../log/index.ts'

type Parts = Pick<Context, 'db' | 'config'>

const logoAddress = ({ config }: Pick<Context, 'config'>, key: string | null): string | null =>
  key && `${config.publicAddress}/logos/${key}`

const answerOf = (parts: Pick<Context, 'config'>, { colour, logo }: stored.StoredLook): BrandLook => ({
  colour,
  logo: logoAddress(parts, logo),
})

/** What the public sees of a brand. */
export const lookOfBrand = async (parts: Parts, brandId: number): Promise<BrandLook> =>
  answerOf(parts, await stored.lookOf(parts.db, brandId))

export const changeLook = (parts: Parts, reader: Reader, { colour }: LookDraft): Promise<BrandLook> =>
  parts.db.inTransaction(async (tx) => {
    const { db } = parts
    const { brandId } = reader
    await stored.setColour(db, { brandId, colour }, tx)
    await record(db, reader, { kind: 'changeLook', on: ['brand', brandId], detail: { colour } }, tx)
    return answerOf(parts, await stored.lookOf(db, brandId, tx))
  })

/** Keeps a picture as the logo, drawn anew from its dots: nothing else of the file stays. @throws Refusal notALogo */
export async function setLogo(
  parts: Parts & Pick<Context, 'files' | 'fileWorker'>,
  reader: Reader,
  bytes: Uint8Array,
): Promise<BrandLook> {
  const { db, files, fileWorker } = parts
  const { picture } = await fileWorker.ask({ kind: 'sniff', bytes })
  if (!picture) throw new Refusal('notALogo')
  const logo = await files.put(picture.preview)
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    await stored.setLogo(db, { brandId, logo }, tx)
    await record(db, reader, { kind: 'changeLook', on: ['brand', brandId], detail: { logo: true } }, tx)
    return answerOf(parts, await stored.lookOf(db, brandId, tx))
  })
}

export const removeLogo = ({ db }: Parts, reader: Reader): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const { brandId } = reader
    await stored.setLogo(db, { brandId, logo: null }, tx)
    await record(db, reader, { kind: 'changeLook', on: ['brand', brandId], detail: { logo: false } }, tx)
    return undefined
  })

/** The logo of some brand, for anybody. @throws Refusal notFound */
export async function openLogo({ db, files }: Pick<Context, 'db' | 'files'>, key: string): Promise<Readable> {
  if (!/^[0-9a-f]{64}$/.test(key) || !(await stored.isLogo(db, key))) throw new Refusal('notFound')
  return files.read(key).catch((error: unknown) => {
    throw new Refusal('notFound', {}, { cause: error })
  })
}
