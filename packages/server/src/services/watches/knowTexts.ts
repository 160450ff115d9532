import type { Context } from '../../context.ts'
import { newestTexts } from '../../store/queries/entries/lensTexts.ts'
import { brandIds } from '../../store/queries/brand/brand.ts'

/** Texts read ahead in all: as many as one question about phrases looks at. */
const most = 100_000
/** At once: whoever asks meanwhile waits for one stretch at most. */
const stretch = 5_000

/**
 * Has the text worker read the newest texts of every brand, so that the first person to ask what is said does not wait for
 * that. Ends early where there are fewer.
 *
 * @returns how many are known now
 */
export async function knowTexts({ db, textWorker }: Pick<Context, 'db' | 'textWorker'>): Promise<number> {
  const brands = await brandIds(db)
  let known = 0
  for (const { id } of brands)
    for (let from = 0; from < most / brands.length; from += stretch) {
      const { texts } = await textWorker.ask({
        kind: 'know',
        texts: newestTexts(id, { from, limit: stretch }),
      })
      known += texts
      if (texts < stretch) break
    }
  return known
}
