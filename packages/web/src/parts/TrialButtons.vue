<script setup lang="ts">
/** The two steps of what is tried before it is saved; the next one stands out. */
defineProps<{
  busy: 'try' | 'save' | null
  tried: boolean
  stale: boolean
  maySave: boolean
  /** Whether saving is held back until a trial says that it makes sense. */
  held?: boolean
  texts: { try: string; trying: string; save: string; saving: string; untried: string; stale: string }
}>()
defineEmits<{ try: [] }>()
</script>

<template>
  <div class="actions">
    <button
      type="button"
      class="button"
      :class="{ primary: !tried || stale }"
      :disabled="busy !== null"
      @click="$emit('try')"
    >
      {{ busy === 'try' ? texts.trying : texts.try }}
    </button>
    <button
      v-if="maySave"
      type="submit"
      class="button"
      :class="{ primary: tried && !stale }"
      :disabled="busy !== null || held"
    >
      {{ busy === 'save' ? texts.saving : texts.save }}
    </button>
    <slot v-else />
    <span v-if="!tried" class="soft">{{ texts.untried }}</span>
    <span v-else-if="stale" class="wrong">{{ texts.stale }}</span>
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.wrong {
  color: var(--flare-text);
}
</style>
