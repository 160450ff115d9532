<script setup lang="ts">
import type { ChatVisitor, ThreadAnswer } from '@murrabel/contract'
import { webAddress } from '../../parts/webAddress.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useVisitor } from './useVisitor.ts'

/** Who writes from a page of the brand's own site: where they are, and how they can be answered. */
const { thread, visitor } = defineProps<{ thread: ThreadAnswer; visitor: ChatVisitor }>()
const { t, languageName } = useTexts()
const { present } = useVisitor(() => thread)
</script>

<template>
  <section data-test="visitor">
    <h4>{{ t('inbox.visitor.title') }}</h4>
    <p>
      <b :class="{ there: present }">{{ present ? t('inbox.visitor.present') : t('inbox.visitor.gone') }}</b>
    </p>
    <p v-if="visitor.page" class="page">
      <a :href="webAddress(visitor.page.url)" target="_blank" rel="noreferrer">{{ visitor.page.title }}</a>
    </p>
    <p v-if="visitor.email" class="page">{{ visitor.email }}</p>
    <p v-if="visitor.language" class="soft">{{ languageName(visitor.language) }}</p>
    <p v-if="!present" class="soft">
      {{ visitor.email ? t('inbox.visitor.byMail') : t('inbox.visitor.nowhere') }}
    </p>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 18px;
}
b {
  font-weight: 600;
}
.there {
  color: var(--deep);
}
.page {
  overflow-wrap: anywhere;
}
</style>
