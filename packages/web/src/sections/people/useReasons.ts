import type { JoinReason } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

/** Why two may be one, in words. */
export function useReasons(): (reasons: readonly JoinReason[]) => string {
  const { t, list, number, day } = useTexts()
  const brand = useBrand()
  const text = (reason: JoinReason): string => {
    switch (reason.kind) {
      case 'email':
      case 'phone':
        return t(`people.reason.${reason.kind}`, { value: reason.value })
      case 'names':
        // A name is of several words; one word, such as "tide.ailsa", is how somebody signs.
        if (reason.one === reason.other)
          return t(reason.one.includes(' ') ? 'people.reason.sameName' : 'people.reason.sameHandle', {
            one: reason.one,
          })
        return t('people.reason.names', {
          one: reason.one,
          other: reason.other,
          likeness: number(Math.round(reason.likeness * 100) / 100),
        })
      case 'place':
        return t('people.reason.place', { place: brand.placeName(reason.place) || `#${reason.place}` })
      case 'topic':
        return t('people.reason.topic', {
          words: list(reason.words.map((word) => `“${word}”`)),
          date: day(new Date(reason.at).toISOString()),
        })
    }
  }
  return (reasons) => reasons.map(text).join('; ')
}
