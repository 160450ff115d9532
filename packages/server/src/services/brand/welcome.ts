import { daysBefore } from '@murrabel/core/measures'
import type { WelcomeAnswer } from '@murrabel/contract'
import type { Context } from '../../context.ts'
import { channelCount, dailyVolume, demoBrand, saidLately } from '../../store/queries/demoWelcome.ts'

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
    const since = new Date(daysBefore(now(), shownDays - 1, brand.zone))
    const [days, channels, said] = await Promise.all([
      dailyVolume(db, { ...brand, since }),
      channelCount(db, brand.id),
      saidLately(db, { id: brand.id, since }),
    ])
    const entries = days.reduce((n, d) => n + d.positive + d.neutral + d.negative + d.unread, 0)
    return {
      demo: {
        brand: brand.name,
        entries,
        channels,
        days: days.map((d) => ({ ...d, at: d.at.toISOString() })),
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
