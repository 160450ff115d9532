import { computed, type Ref } from 'vue'
import { lensPhrases, type Lens, type LensField, type LensPhrase } from '@murrabel/core/lens'
import { useBrand } from '../stores/brand.ts'
import { useVoices } from '../stores/voices.ts'
import { bases } from './useLens.ts'
import { useLensOptions } from './useLensOptions.ts'
import { useTexts } from './useTexts.ts'

/** The kinds that somebody may wait for an answer to; together they have a shorter name. */
const owed = bases.threads.kinds

/**
 * The lens in words of the reader's language, and what each phrase could be instead.
 *
 * @param told names another sentence, for a page that looks at a part of the lens only
 */
export function useLensPhrases(lens: Ref<Lens>, { told }: { told?: () => 'time' | undefined } = {}) {
  const { t, list, format, languageName, weekHour } = useTexts()
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
    kinds: (v) => t(`lens.kind.${v}`),
    channels: (v) => t(`lens.channel.${v}`),
    places: (v) => brand.placeName(Number(v)) || `#${v}`,
    sentiments: (v) => t(`lens.sentiment.${v}`),
    givenTo: (v) => brand.colleagueName(Number(v)) || `#${v}`,
    watch: (v) => brand.nameOfWatch(Number(v)) || `#${v}`,
    languages: (v) => languageName(String(v)),
    voice: (v) => voices.nameOf(Number(v)),
    story: (v) => String(v),
    tags: (v) => brand.nameOfTag(Number(v)) || `#${v}`,
  }

  function phrase({ field, message, values }: LensPhrase & { field: LensField }): string {
    if (field === 'watch' && message === 'group')
      return brand.nameOfGroup(Number(values[0])) || `#${values[0]}`
    if (field === 'aspect' && values.length) {
      const name = brand.aspects.find((a) => a.id === values[0])?.name ?? `#${values[0]}`
      return [
        t('lens.aspect.one', { a: name }),
        ...(values[1] ? [t(`lens.sentiment.${values[1]}`)] : []),
      ].join(', ')
    }
    if (field === 'weekHour' && values.length) return weekHour(Number(values[0]))
    if (field === 'range') {
      if (message === 'all') return t('lens.range.all')
      if (message === 'last') return t('lens.range.last', { n: values[0] }, Number(values[0]))
      return t(`lens.range.${message}`, { from: local(String(values[0])), to: local(String(values[1])) })
    }
    const a = list(values.map((v) => names[field]?.(v) ?? String(v)))
    if (field === 'kinds' && values.length)
      return owed.every((kind) => values.includes(kind)) && values.length === owed.length
        ? t('lens.kinds.owed')
        : a
    return t(`lens.${field}.${message}`, { a })
  }

  /** Parts that are only spoken of when they narrow. */
  const rarer = (parts: ReadonlyMap<string, LensPhrase>) =>
    (['phrase', 'voice', 'story', 'aspect', 'weekHour', 'tags', 'kept'] as const).flatMap((field) =>
      parts.get(field)?.narrows ? [', ', `[${field}]`] : [],
    )

  /** The sentence: plain words and changeable phrases, in the order of the language. */
  const sentence = computed(() => {
    const parts = new Map(lensPhrases(lens.value).map((part) => [part.field as string, part]))
    return t(`lens.${told?.() ?? lens.value.unit}`)
      .split(/(\[\w+\])/)
      .filter(Boolean)
      .flatMap((piece) => (piece === '[more]' ? rarer(parts) : [piece]))
      .map((piece) => {
        const part = parts.get(piece.replace(/^\[|\]$/g, ''))
        return part
          ? { text: phrase(part), field: part.field, narrows: part.narrows }
          : { text: piece, field: null, narrows: false }
      })
  })
  return { sentence, options: useLensOptions(lens) }
}
