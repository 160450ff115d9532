<script setup lang="ts">
import type { PatternUse } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** How often a pattern was sent, and what followed. */
const { use } = defineProps<{ use: PatternUse }>()
const { t, number } = useTexts()
</script>

<template>
  <span :title="t('replies.usedHint')" data-test="pattern-use"
    ><template v-if="!use.sent">{{ t('replies.unused') }}</template
    ><template v-else
      >{{ t('replies.sent', { n: number(use.sent) }, use.sent) }},
      {{
        use.wroteAgain
          ? t('replies.after', {
              n: number(use.wroteAgain),
              praised: number(use.praised),
              complained: number(use.complained),
            })
          : t('replies.afterNone')
      }}</template
    ></span
  >
</template>
