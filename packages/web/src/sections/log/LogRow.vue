<script setup lang="ts">
import { computed } from 'vue'
import type { LogLine } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** One line: when, who, what, to whom. */
const { line } = defineProps<{ line: LogLine }>()
const { t, called, when } = useTexts()
const doer = computed(
  () => line.by ?? (line.actor === 'colleague' ? t('log.gone') : t(`log.itself.${line.actor}`)),
)
/** What it happened to, by its name; where that is gone, by the name that was written down. */
const about = computed(() => {
  // Who did something to themselves is named once.
  if (line.subject === 'colleague' && line.about === line.by) return ''
  const { name, email } = line.detail
  return line.about ?? (typeof name === 'string' ? name : typeof email === 'string' ? email : '')
})
const to = computed(() => {
  if (line.threadId !== null) return `/inbox/${line.threadId}`
  if (line.subject === 'person' && line.subjectId !== null && line.about)
    return `/inbox/people/${line.subjectId}`
  return null
})
const hasDetail = computed(() => Object.keys(line.detail).length > 0)
</script>

<template>
  <li>
    <time class="soft" :datetime="line.at">{{ when(line.at) }}</time>
    <b>{{ doer }}</b>
    <span>
      {{ called('log.kind', line.kind)
      }}<small v-if="line.undone" class="soft"> · {{ t('log.undone') }}</small>
    </span>
    <span class="about">
      <RouterLink v-if="to && about" :to="to">{{ about }}</RouterLink>
      <template v-else>{{ about }}</template>
    </span>
    <details v-if="hasDetail">
      <summary class="soft">{{ t('log.detail') }}</summary>
      <pre>{{ JSON.stringify(line.detail, null, 2) }}</pre>
    </details>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 120px 150px minmax(0, 1.2fr) minmax(0, 1fr) 90px;
  gap: 4px 14px;
  align-items: baseline;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
b {
  font-weight: 600;
}
time,
details {
  font-size: 13px;
}
.about {
  overflow-wrap: anywhere;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
details[open] {
  grid-column: 1 / -1;
}
pre {
  font-size: 12px;
  overflow-x: auto;
  margin: 4px 0;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
