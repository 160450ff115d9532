<script setup lang="ts">
/** A page for whoever comes by a link, before they are signed in. */
defineProps<{ title: string }>()
</script>

<template>
  <main class="page">
    <section>
      <h1>{{ title }}</h1>
      <slot />
    </section>
  </main>
</template>

<style scoped>
.page {
  flex: 1;
  display: grid;
  place-items: center;
  padding: 32px;
  background: var(--band);
  overflow-y: auto;
}
section {
  width: min(400px, 100%);
  background: var(--sheet);
  border-radius: var(--corner);
  border-top: 4px solid var(--glow);
  padding: 26px 32px 32px;
}
h1 {
  font-size: 20px;
  line-height: 28px;
  margin-bottom: 12px;
}
</style>
