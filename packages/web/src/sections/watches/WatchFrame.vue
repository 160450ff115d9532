<script setup lang="ts">
import WatchPlaces from './WatchPlaces.vue'

/** The frame of the pages that look at watches other than one at a time. */
defineProps<{ title: string; intro?: string }>()
</script>

<template>
  <main class="frame">
    <WatchPlaces />
    <section class="page">
      <header>
        <h2>{{ title }}</h2>
        <p v-if="intro" class="soft">{{ intro }}</p>
        <slot name="head" />
      </header>
      <slot />
    </section>
  </main>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: var(--sheet);
}
.frame > :first-child {
  padding-inline: 20px;
}
.page {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  padding: 14px 20px 32px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
  margin-bottom: 12px;
}
h2 {
  font-size: 20px;
  line-height: 28px;
  font-weight: 600;
}
</style>
