<script setup lang="ts">
import { ref, watch } from 'vue'
import { useT } from '../../composables/useT.ts'
import { useBrand } from '../../stores/brand.ts'
import { timeChosen, tomorrowAtNine } from './asideTimes.ts'

/** Chooses a time that is to come, where the brand is. */
const shown = defineModel<boolean>({ required: true })
const { title, verb } = defineProps<{ title: string; verb: string }>()
const emit = defineEmits<{ choose: [until: string] }>()
const { t } = useT()
const brand = useBrand()
const time = ref('')
const past = ref(false)
watch(
  shown,
  (open) => {
    if (!open) return
    time.value = tomorrowAtNine(Date.now(), brand.zone)
    past.value = false
  },
  { immediate: true },
)
function save(): void {
  const until = timeChosen(time.value, { now: Date.now(), zone: brand.zone })
  past.value = until === null
  if (until === null) return
  emit('choose', until)
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="title" width="360px" append-to-body>
    <form @submit.prevent="save">
      <el-input v-model="time" type="datetime-local" :aria-label="t('inbox.dayAndTime')" />
      <p v-if="past" class="past" role="alert">{{ t('inbox.untilPast') }}</p>
      <button type="submit" class="button primary">{{ verb }}</button>
    </form>
  </el-dialog>
</template>

<style scoped>
.button {
  display: block;
  margin-top: 14px;
}
.past {
  margin: 6px 0 0;
  color: var(--flare-text);
  font-weight: 600;
}
</style>
