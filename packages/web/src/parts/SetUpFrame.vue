<script setup lang="ts">
import { useT } from '../composables/useT.ts'
import { useBrand } from '../stores/brand.ts'

defineProps<{ title: string; intro: string }>()
const { t } = useT()
const brand = useBrand()
</script>

<template>
  <main class="set-up">
    <nav :aria-label="t('sections.setUp')">
      <h4>{{ t('sections.setUp') }}</h4>
      <RouterLink v-if="brand.mayCall('places')" to="/set-up/places">{{ t('sections.places') }}</RouterLink>
      <RouterLink v-if="brand.mayCall('colleagues')" to="/set-up/colleagues">{{
        t('sections.colleagues')
      }}</RouterLink>
      <RouterLink to="/set-up/profiles">{{ t('sections.profiles') }}</RouterLink>
      <RouterLink v-if="brand.mayCall('patterns')" to="/set-up/replies">{{
        t('sections.replies')
      }}</RouterLink>
      <RouterLink to="/set-up/import">{{ t('sections.import') }}</RouterLink>
      <RouterLink v-if="brand.mayCall('dataRequests')" to="/set-up/personal-data">{{
        t('sections.personalData')
      }}</RouterLink>
      <RouterLink to="/set-up/keys">{{ t('sections.keys') }}</RouterLink>
      <RouterLink v-if="brand.mayCall('log')" to="/set-up/log">{{ t('sections.log') }}</RouterLink>
      <RouterLink to="/set-up/account">{{ t('sections.account') }}</RouterLink>
    </nav>
    <section>
      <h1>{{ title }}</h1>
      <p class="soft intro">{{ intro }}</p>
      <slot />
    </section>
  </main>
</template>

<style scoped>
.set-up {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 200px minmax(0, 1fr);
}
nav {
  border-right: 1px solid var(--line);
  padding: 18px 20px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
nav a {
  border: 0;
  align-self: flex-start;
}
.router-link-active {
  font-weight: 600;
  color: var(--ink);
}
section {
  background: var(--sheet);
  padding: 16px 28px 40px;
  overflow-y: auto;
}
h1 {
  font-size: 22px;
  line-height: 30px;
}
.intro {
  margin-bottom: 18px;
}
@media (max-width: 720px) {
  .set-up {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    flex-flow: row wrap;
    gap: 4px 16px;
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }
  nav > * {
    white-space: nowrap;
  }
}
</style>
