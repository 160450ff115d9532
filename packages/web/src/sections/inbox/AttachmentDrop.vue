<script setup lang="ts">
import { useT } from '../../composables/useT.ts'

defineProps<{ name: string }>()
const emit = defineEmits<{ drop: [] }>()
const { t } = useT()
</script>

<template>
  <button type="button" class="plain" :aria-label="t('inbox.files.drop', { name })" @click="emit('drop')">
    {{ t('inbox.files.dropShort') }}
  </button>
</template>
