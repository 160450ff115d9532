import { bucketStarts, daysBefore } from '@murrabel/core/measures'
import type { WelcomeAnswer } from '@murrabel/contract'
import type { Context } from '../../context.ts'
import { channelCount, dailyVolume, demoBrand, saidLately } from '../../store/queries/brand/demoWelcome.ts'
import { fillBuckets } from '../lens/index.ts'

const shownDays = 60
/** Nobody needs a session for it, so it is not counted anew for everybody. */
const keptMs = 30_000

/** What the page for signing in shows: on a demo what it holds, otherwise nothing of anybody. */
export function welcome({
  db,
  config,
  now,
}: Pick<Context, 'db' | 'config' | 'now'>): () => Promise<WelcomeAnswer> {
  let kept: { at: number; answer: Promise<WelcomeAnswer> } | null = null
  async function read(): Promise<WelcomeAnswer> {
    const brand = config.demo ? await demoBrand(db) : null
    if (!brand) return { demo: null }
    const from = daysBefore(now(), shownDays - 1, brand.zone)
    const starts = bucketStarts({ from, to: now() + 1, unit: 'day', zone: brand.zone })
    const [volume, channels, said] = await Promise.all([
      dailyVolume(db, { id: brand.id, starts }),
      channelCount(db, brand.id),
      saidLately(db, { id: brand.id, since: new Date(starts[0]!) }),
    ])
    const days = fillBuckets(starts, volume)
    const entries = days.reduce((n, d) => n + d.positive + d.neutral + d.negative + d.unread, 0)
    return {
      demo: {
        brand: brand.name,
        entries,
        channels,
        days,
        said,
      },
    }
  }
  return () => {
    if (!kept || now() - kept.at > keptMs) {
      kept = { at: now(), answer: read() }
      kept.answer.catch(() => (kept = null))
    }
    return kept.answer
  }
}
