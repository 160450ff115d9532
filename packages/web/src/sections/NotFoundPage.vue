<script setup lang="ts">
import { useT } from '../composables/useT.ts'
import EmptyPlace from '../parts/EmptyPlace.vue'

const { t } = useT()
</script>

<template>
  <EmptyPlace :text="t('problem.notFoundTitle')"
    ><RouterLink to="/inbox">{{ t('problem.toInbox') }}</RouterLink></EmptyPlace
  >
</template>
