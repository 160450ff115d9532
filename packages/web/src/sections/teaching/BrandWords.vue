<script setup lang="ts">
import { X } from '@lucide/vue'
import type { BrandWord } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** Words that mean something of their own to this brand, from sour to sweet. */
const words = defineModel<BrandWord[]>({ required: true })
defineProps<{ editable: boolean; busy: boolean; changed: boolean }>()
const emit = defineEmits<{ save: [] }>()
const { t } = useTexts()
const marks = { '-4': '−4', '-2': '−2', 0: '0', 2: '2', 4: '4' }
</script>

<template>
  <section>
    <h3>{{ t('watch.teach.words') }}</h3>
    <p class="soft">{{ t('watch.teach.wordsIntro') }}</p>
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
    <p v-if="editable" class="row">
      <button type="button" class="button" @click="words.push({ term: '', valence: 0 })">
        {{ t('watch.teach.addWord') }}
      </button>
      <button type="button" class="button primary" :disabled="busy || !changed" @click="emit('save')">
        {{ t('watch.teach.saveWords') }}
      </button>
      <span v-if="changed" class="soft">{{ t('watch.teach.unsaved') }}</span>
    </p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 10px 0 2px;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
.word {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) 16px;
  gap: 24px;
  align-items: start;
  margin-bottom: 22px;
}
section > p {
  margin-bottom: 8px;
}
</style>
