<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import EmptyPlace from '../parts/EmptyPlace.vue'

const { t } = useI18n()
</script>

<template>
  <EmptyPlace :text="t('problem.notFoundTitle')"
    ><RouterLink to="/inbox">{{ t('problem.toInbox') }}</RouterLink></EmptyPlace
  >
</template>
