<script setup lang="ts">
import { X } from '@lucide/vue'
import type { BrandWord } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import TaughtList from './TaughtList.vue'

/** Words that mean something of their own to this brand, from sour to sweet. */
const words = defineModel<BrandWord[]>({ required: true })
defineProps<{ editable: boolean; busy: boolean; changed: boolean }>()
const emit = defineEmits<{ save: [] }>()
const { t } = useTexts()
const marks = { '-4': '−4', '-2': '−2', 0: '0', 2: '2', 4: '4' }
</script>

<template>
  <TaughtList
    :title="t('watch.teach.words')"
    :intro="t('watch.teach.wordsIntro')"
    :add-text="t('watch.teach.addWord')"
    :save-text="t('watch.teach.saveWords')"
    :editable="editable"
    :busy="busy"
    :changed="changed"
    @add="words.push({ term: '', valence: 0 })"
    @save="emit('save')"
  >
    <div v-for="(word, i) in words" :key="i" class="word">
      <el-input
        v-model="word.term"
        :placeholder="t('watch.teach.term')"
        :aria-label="t('watch.teach.term')"
        :disabled="!editable"
        maxlength="80"
      />
      <el-slider
        v-model="word.valence"
        :min="-4"
        :max="4"
        :step="0.5"
        :marks="marks"
        :disabled="!editable"
        :aria-label="t('watch.teach.valence')"
      />
      <button
        v-if="editable"
        type="button"
        class="plain"
        :aria-label="t('watch.teach.removeWord', { name: word.term })"
        @click="words.splice(i, 1)"
      >
        <X :size="14" />
      </button>
    </div>
  </TaughtList>
</template>

<style scoped>
.word {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) 16px;
  gap: 24px;
  align-items: start;
  margin-bottom: 22px;
}
</style>
