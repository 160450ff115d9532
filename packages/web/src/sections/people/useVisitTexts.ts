import type { PersonRow, Visit, VisitProposal } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

/** Visits in words. */
export function useVisitTexts() {
  const { t, list, number, day, money } = useTexts()
  const brand = useBrand()

  /** What a visit was: the way, the ship, how many came and what they paid; without any of it, where it was. */
  function what({ route, ship, party, price, currency, placeId }: Visit): string {
    const parts = [
      route || (placeId === null ? t('people.visit.some') : brand.placeName(placeId)),
      ship,
      party === null ? '' : t('people.visit.party', { n: number(party) }, party),
      price === null ? '' : money(price, currency),
    ]
    return parts.filter(Boolean).join(', ')
  }

  /** What is known of the visits of a row, in a few words. */
  function summary({ done, latest, next }: PersonRow['visits']): string {
    if (next)
      return next.party === null || next.party === 1
        ? t('people.visit.next', { date: day(next.at) })
        : t('people.visit.nextParty', { n: number(next.party), date: day(next.at) }, next.party)
    if (!latest) return t('people.visit.none')
    const state = latest.state === 'failed' || latest.state === 'cancelled' ? latest.state : null
    const last = state
      ? t(`people.visit.latest.${state}`, { date: day(latest.at) })
      : t('people.visit.latest.done', { date: day(latest.at) })
    return done ? `${t('people.visit.count', { n: number(done) }, done)} · ${last}` : last
  }

  const reasonText = (reason: VisitProposal['reasons'][number]): string => {
    switch (reason.kind) {
      case 'reference':
        return t('people.visit.why.reference', { reference: reason.reference })
      case 'near': {
        const days = Math.abs(reason.days)
        if (days === 0) return t('people.visit.why.sameDay')
        return t(reason.days > 0 ? 'people.visit.why.after' : 'people.visit.why.before', { n: days }, days)
      }
      case 'place':
        return t('people.visit.why.place', { place: brand.placeName(reason.place) || `#${reason.place}` })
      case 'ship':
        return t('people.visit.why.ship', { ship: reason.ship })
      case 'route':
        return t('people.visit.why.route', { words: list(reason.words.map((word) => `“${word}”`)) })
    }
  }
  const why = (reasons: VisitProposal['reasons']): string => list(reasons.map(reasonText))

  return { what, summary, why }
}
