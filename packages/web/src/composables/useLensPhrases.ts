import { computed, type Ref } from 'vue'
import { lensPhrases, type Lens, type LensPhrase } from '@murrabel/core/lens'
import { useLensOptions } from './useLensOptions.ts'
import { useLensPhrase } from './useLensPhrase.ts'
import { useTexts } from './useTexts.ts'

/**
 * The lens in words of the reader's language, and what each phrase could be instead.
 *
 * @param told names another sentence, for a page that looks at a part of the lens only
 */
export function useLensPhrases(lens: Ref<Lens>, { told }: { told?: () => 'time' | undefined } = {}) {
  const { t } = useTexts()
  const phrase = useLensPhrase()

  /** Parts that are only spoken of when they narrow. */
  const rarer = (parts: ReadonlyMap<string, LensPhrase>) =>
    (
      [
        'origins',
        'priority',
        'spam',
        'phrase',
        'voice',
        'story',
        'aspect',
        'weekHour',
        'tags',
        'personTags',
        'kept',
        'uncaught',
      ] as const
    ).flatMap((field) => (parts.get(field)?.narrows ? [', ', `[${field}]`] : []))

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
