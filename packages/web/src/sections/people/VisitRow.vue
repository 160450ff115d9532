<script setup lang="ts">
import type { Visit } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useVisitTexts } from './useVisitTexts.ts'

/** A visit among what somebody said. */
const { visit, may = false } = defineProps<{ visit: Visit; may?: boolean }>()
const emit = defineEmits<{ edit: [] }>()
const { t } = useTexts()
const { what } = useVisitTexts()
</script>

<template>
  <div>
    <component
      :is="may ? 'button' : 'span'"
      :type="may ? 'button' : undefined"
      class="what"
      @click="may && emit('edit')"
    >
      {{ what(visit) }}
      <span v-if="visit.state !== 'done'" class="state" :class="visit.state">{{
        t(`people.visit.state.${visit.state}`)
      }}</span>
    </component>
    <small class="soft"
      >{{ t(`people.visit.source.${visit.source}`)
      }}<template v-if="visit.reference"> · {{ visit.reference }}</template></small
    >
  </div>
</template>

<style scoped>
.what {
  display: block;
  width: 100%;
  font: inherit;
  line-height: 22px;
  color: var(--ink);
  text-align: left;
  border: 0;
  padding: 0;
  background: none;
  overflow-wrap: anywhere;
}
button.what {
  cursor: pointer;
  min-height: 24px;
}
button.what:hover {
  color: var(--deep);
}
.state {
  color: var(--ink-soft);
}
.state.failed {
  color: var(--flare-text);
}
small {
  font-size: 12px;
}
</style>
