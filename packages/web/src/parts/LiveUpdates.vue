<script setup lang="ts">
import { gathered, useLive } from '../composables/useLive.ts'
import { useBrand } from '../stores/brand.ts'
import { useCounts } from '../stores/counts.ts'

/** Keeps what all sections share up to date, for as long as somebody is signed in. */
const brand = useBrand()
const counts = useCounts()
const loadCounts = gathered(() => counts.load().catch(() => {}), 500)
const loadBrand = gathered(() => brand.load().catch(() => {}), 500)
useLive((event) => {
  if (event.kind === 'entries' || event.kind === 'thread') loadCounts()
  if (event.kind === 'profiles' || event.kind === 'brand') loadBrand()
  if (event.kind === 'watches') void brand.reloadWatches().catch(() => {})
})
</script>

<template><span hidden /></template>
