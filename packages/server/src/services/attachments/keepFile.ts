import { cleanLine } from '@murrabel/core/text'
import type { CollectedFile } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { FileToAdd } from '../../store/queries/intake/mails.ts'

/** A file that lies in the store. */
export type KeptFile = Omit<FileToAdd, 'outsideId' | 'position'>

/** A name as somebody gave it, without what could lead into a folder: it is shown, and offered for a download. */
export const cleanFileName = (name: string): string =>
  cleanLine(name.split(/[/\\]/).at(-1) ?? '', 120).replace(/^\.+/, '') || 'file'

/** Puts a file into the store with what its bytes say of it, and a preview where it is a picture. */
export async function keepFile(
  { files, fileWorker }: Pick<Context, 'files' | 'fileWorker'>,
  { name, bytes, cid }: Omit<CollectedFile, 'type'>,
): Promise<KeptFile> {
  const { type, picture } = await fileWorker.ask({ kind: 'sniff', bytes })
  const [file, preview] = await Promise.all([
    files.put(bytes),
    picture ? files.put(picture.preview) : Promise.resolve(null),
  ])
  return {
    name: cleanFileName(name),
    type,
    bytes: bytes.byteLength,
    file,
    preview,
    width: picture?.width ?? null,
    height: picture?.height ?? null,
    cid: cid === null ? null : cleanLine(cid, 300),
  }
}
