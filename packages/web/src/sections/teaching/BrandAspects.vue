<script setup lang="ts">
import { X } from '@lucide/vue'
import type { AspectDraft, TeachingAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import TaughtList from './TaughtList.vue'
import TermList from '../../parts/TermList.vue'

/** What people speak of when they speak of the brand, each aspect with its words. */
const aspects = defineModel<AspectDraft[]>({ required: true })
const { alike } = defineProps<{
  alike: TeachingAnswer['alikeAspects']
  editable: boolean
  busy: boolean
  changed: boolean
}>()
const emit = defineEmits<{ save: [] }>()
const { t, list } = useTexts()

/** How an aspect is read where none of its terms stands. */
function withoutTerms(id: number | undefined): string {
  const learnt = alike.find(({ aspect }) => aspect === id)
  if (!learnt) return ''
  return learnt.used
    ? t('watch.teach.alikeUsed', {
        words: list(learnt.words),
        right: learnt.right,
        found: learnt.found,
      })
    : t('watch.teach.alikeNot', { n: learnt.n }, learnt.n)
}
</script>

<template>
  <TaughtList
    :title="t('watch.teach.aspects')"
    :intro="t('watch.teach.aspectsIntro')"
    :add-text="t('watch.teach.addAspect')"
    :save-text="t('watch.teach.saveAspects')"
    :editable="editable"
    :busy="busy"
    :changed="changed"
    @add="aspects.push({ name: '', terms: [] })"
    @save="emit('save')"
  >
    <div class="aspects">
      <div v-for="(aspect, i) in aspects" :key="aspect.id ?? `new${i}`" class="aspect">
        <span class="row">
          <el-input
            v-model="aspect.name"
            :aria-label="t('watch.form.name')"
            :disabled="!editable"
            maxlength="80"
          />
          <button
            v-if="editable"
            type="button"
            class="plain"
            :aria-label="t('watch.teach.removeAspect', { name: aspect.name })"
            @click="aspects.splice(i, 1)"
          >
            <X :size="14" />
          </button>
        </span>
        <TermList v-model="aspect.terms" :label="t('watch.teach.aspectTerms', { name: aspect.name })" />
        <p v-if="withoutTerms(aspect.id)" class="soft learnt">{{ withoutTerms(aspect.id) }}</p>
      </div>
    </div>
  </TaughtList>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
.aspects {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: 12px 32px;
  margin: 8px 0;
  align-items: start;
}
.learnt {
  margin-top: 4px;
  font-size: 12px;
}
.aspect :deep(label) {
  font-weight: 400;
  font-size: 12px;
  color: var(--ink-soft);
  margin-top: 4px;
}
</style>
