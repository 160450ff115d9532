<script setup lang="ts">
import { useTexts } from '../../composables/useTexts.ts'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import { useBrand } from '../../stores/brand.ts'
import CustomerDoors from './CustomerDoors.vue'
import OutgoingHooks from './OutgoingHooks.vue'
import OwnKeys from './OwnKeys.vue'

/** How other programs reach us: keys that act for somebody, and doors for customers. */
const { t } = useTexts()
const brand = useBrand()
</script>

<template>
  <SetUpFrame :title="t('keysAndHooks.title')" :intro="t('keysAndHooks.intro')">
    <OwnKeys />
    <OutgoingHooks v-if="brand.mayCall('hooks')" />
    <CustomerDoors v-if="brand.mayCall('doors')" />
  </SetUpFrame>
</template>
