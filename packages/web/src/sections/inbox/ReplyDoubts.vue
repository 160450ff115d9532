<script setup lang="ts">
import type { ReplyDoubt } from '@murrabel/core/replies'
import { useTexts } from '../../composables/useTexts.ts'

/** What the writer of an answer may want to look at before it goes out; each leads to its words. */
const { doubts } = defineProps<{ doubts: readonly ReplyDoubt[] }>()
const emit = defineEmits<{ show: [span: { start: number; end: number; words: string }] }>()
const { t, number, languageName } = useTexts()

function said(doubt: ReplyDoubt): string {
  switch (doubt.kind) {
    case 'name':
      return t('replies.doubt.name', { words: doubt.words })
    case 'personal':
      return t(`replies.doubt.${doubt.what}`, { words: doubt.words })
    case 'gap':
      return t('replies.doubt.gap', { words: doubt.words })
    case 'language':
      return t('replies.doubt.language', {
        theirs: languageName(doubt.theirs),
        ours: languageName(doubt.ours),
      })
    case 'money':
      return t('replies.doubt.money', { words: doubt.words })
    case 'angry':
      return t('replies.doubt.angry', { words: doubt.words })
    case 'question':
      return t('replies.doubt.question', { words: doubt.words })
    case 'repeated':
      return t('replies.doubt.repeated', { n: number(Math.round(doubt.likeness * 100)) })
  }
}
</script>

<template>
  <div v-if="doubts.length" class="doubts" role="alert" data-test="doubts">
    <h4>{{ t('replies.look', { n: doubts.length }, doubts.length) }}</h4>
    <ul>
      <li v-for="(doubt, i) in doubts" :key="i">
        <button
          v-if="'start' in doubt"
          type="button"
          class="plain"
          :title="t('replies.show')"
          @click="emit('show', doubt)"
        >
          {{ said(doubt) }}
        </button>
        <template v-else>{{ said(doubt) }}</template>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.doubts {
  max-height: 150px;
  overflow-y: auto;
  margin-top: 8px;
  padding: 8px 12px;
  background: var(--note);
  border-left: 3px solid var(--flare);
}
h4 {
  margin: 0 0 2px;
}
ul {
  margin: 0;
  padding-left: 18px;
}
.plain {
  min-height: 24px;
  text-align: left;
}
</style>
