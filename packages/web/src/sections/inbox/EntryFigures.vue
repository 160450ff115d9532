<script setup lang="ts">
import { computed } from 'vue'
import { useTexts } from '../../composables/useTexts.ts'

/** How often something was liked and passed on, as its network last told. */
const { likes, shares } = defineProps<{ likes: number | null; shares: number | null }>()
const { t, number } = useTexts()
const said = computed(() =>
  [
    likes ? t('inbox.likes', { n: number(likes) }, likes) : '',
    shares ? t('inbox.shares', { n: number(shares) }, shares) : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
</script>

<template>
  <span v-if="said" class="soft" data-test="figures">{{ said }}</span>
</template>
