<script setup lang="ts">
import type { Shortcut } from '../shortcuts.ts'
import { useShortcutKeys } from '../stores/shortcuts.ts'

/** The key that does the same as the button it stands in. */
const { shortcut } = defineProps<{ shortcut: Shortcut }>()
const shortcuts = useShortcutKeys()
</script>

<template>
  <span v-if="shortcuts.keyOf(shortcut)" class="key" aria-hidden="true">{{ shortcuts.keyOf(shortcut) }}</span>
</template>
