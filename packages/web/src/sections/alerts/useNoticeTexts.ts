import { computed } from 'vue'
import type { NoticeAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useNotices } from '../../stores/notices.ts'

/** Notices of one kind by one colleague within so long are one line, milliseconds. */
const togetherMs = 600_000

export type NoticeGroup = NoticeAnswer & { count: number }

/** Notices in words, newest first; many threads that came at once are one line, which leads to the latest. */
export function useNoticeTexts() {
  const { t, number } = useTexts()
  const brand = useBrand()
  const store = useNotices()
  const grouped = computed(() =>
    // Answers that did not go out have their own lines in the bell, until somebody decides.
    store.notices
      .filter(({ kind }) => kind !== 'notSent')
      .reduce<NoticeGroup[]>((groups, notice) => {
        const last = groups.at(-1)
        const joins =
          last?.kind === 'given' &&
          notice.kind === 'given' &&
          last.by === notice.by &&
          last.seen === notice.seen &&
          Date.parse(last.at) - Date.parse(notice.at) < togetherMs
        return joins
          ? [...groups.slice(0, -1), { ...last, count: last.count + 1 }]
          : [...groups, { ...notice, count: 1 }]
      }, []),
  )
  function toldOf({ kind, by, author, count }: NoticeGroup): string {
    const name = (by !== null && brand.colleagueName(by)) || t('together.somebody')
    if (kind === 'given' && count > 1) return t('together.notice.givenMany', { name, n: number(count) })
    return t(`together.notice.${kind}`, { name, author: author || t('together.aThread') })
  }
  return { grouped, toldOf }
}
