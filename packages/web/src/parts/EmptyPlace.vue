<script setup lang="ts">
defineProps<{ title?: string; text: string }>()
</script>

<template>
  <div class="empty">
    <h3 v-if="title">{{ title }}</h3>
    <p>{{ text }}</p>
    <slot />
  </div>
</template>

<style scoped>
.empty {
  padding: 28px 24px;
  max-width: 420px;
  color: var(--ink-soft);
}
h3 {
  font-size: 16px;
  color: var(--ink);
  margin-bottom: 6px;
}
p {
  margin-bottom: 12px;
}
</style>
