<script setup lang="ts">
import { computed } from 'vue'
import { entryPieces, type PieceMark } from './entryPieces.ts'

const {
  text,
  hits = [],
  spans = [],
} = defineProps<{ text: string; hits?: readonly PieceMark[]; spans?: readonly PieceMark[] }>()
const pieces = computed(() => entryPieces(text, hits, spans))
</script>

<template>
  <span class="words">
    <template v-for="(piece, i) in pieces" :key="i">
      <mark v-if="piece.hit" :class="piece.sentiment">{{ piece.text }}</mark>
      <u v-else-if="piece.sentiment" :class="piece.sentiment">{{ piece.text }}</u>
      <template v-else>{{ piece.text }}</template>
    </template>
  </span>
</template>

<style scoped>
.words {
  white-space: pre-line;
  overflow-wrap: anywhere;
}
mark {
  background: var(--hit);
  color: inherit;
}
u {
  text-decoration-line: none;
}
.positive,
.negative {
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
  text-decoration-skip-ink: none;
}
.positive {
  text-decoration-color: var(--pos);
}
.negative {
  text-decoration-color: var(--neg);
}
</style>
