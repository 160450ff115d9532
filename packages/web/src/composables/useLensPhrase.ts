import type { LensField, LensPhrase } from '@murrabel/core/lens'
import { useBrand } from '../stores/brand.ts'
import { useVoices } from '../stores/voices.ts'
import { useTexts } from './useTexts.ts'

/** One part of the lens in words of the reader's language. */
export function useLensPhrase(): (part: LensPhrase & { field: LensField }) => string {
  const { t, called, list, format, languageName, weekHour } = useTexts()
  const voices = useVoices()
  const brand = useBrand()
  const local = (text: string) =>
    format(text.length > 10 ? `${text}:00:00Z` : `${text}T00:00:00Z`, {
      day: 'numeric',
      month: 'short',
      timeZone: 'UTC',
      ...(text.length > 10 ? { hour: '2-digit' } : {}),
    })

  const names: Partial<Record<LensField, (value: string | number) => string>> = {
    kinds: (v) => called('lens.kind', v),
    origins: (v) => called('lens.origin', v),
    channels: (v) => called('lens.channel', v),
    places: (v) => brand.placeName(Number(v)) || `#${v}`,
    sentiments: (v) => called('lens.sentiment', v),
    wishes: (v) => called('lens.wish', v),
    givenTo: (v) => brand.colleagueName(Number(v)) || `#${v}`,
    watch: (v) => brand.nameOfWatch(Number(v)) || `#${v}`,
    languages: (v) => languageName(String(v)),
    voice: (v) => voices.nameOf(Number(v)),
    story: (v) => String(v),
    logDoer: (v) => brand.colleagueName(Number(v)) || `#${v}`,
    logSubjects: (v) => called('log.subjects', v),
    followUpKinds: (v) => called('followUps.kinds', v),
    followUpOwner: (v) => brand.colleagueName(Number(v)) || `#${v}`,
    followUpPlaces: (v) => brand.placeName(Number(v)) || `#${v}`,
    standings: (v) => called('watch.voices.standings', v),
    tags: (v) => brand.nameOfTag(Number(v)) || `#${v}`,
    personTags: (v) => brand.nameOfTag(Number(v)) || `#${v}`,
  }

  return function phrase({ field, message, values }: LensPhrase & { field: LensField }): string {
    if (field === 'watch' && message === 'group')
      return brand.nameOfGroup(Number(values[0])) || `#${values[0]}`
    // Where there are no teams, nothing is said of them.
    if (field === 'givenTo' && message === 'meOrNobody' && !brand.answer?.teams.length)
      return t('lens.givenTo.meAlone')
    if (field === 'givenTo' && message === 'team') return brand.teamName(Number(values[0])) || `#${values[0]}`
    if (field === 'aspect' && values.length) {
      const name = brand.aspects.find((a) => a.id === values[0])?.name ?? `#${values[0]}`
      return [
        t('lens.aspect.one', { a: name }),
        ...(values[1] ? [called('lens.sentiment', values[1])] : []),
      ].join(', ')
    }
    if (field === 'weekHour' && values.length) return weekHour(Number(values[0]))
    if (field === 'range') {
      if (message === 'all') return t('lens.range.all')
      if (message === 'last') return t('lens.range.last', { n: values[0] }, Number(values[0]))
      return called('lens.range', message, { from: local(String(values[0])), to: local(String(values[1])) })
    }
    const a = list(values.map((v) => names[field]?.(v) ?? String(v)))
    if (field === 'kinds' && values.length) return a
    return called('lens', `${field}.${message}`, { a })
  }
}
