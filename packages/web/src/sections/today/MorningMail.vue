<script setup lang="ts">
import { ref, watch } from 'vue'
import { morningMailSchema, routes } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useUndo } from '../../stores/undo.ts'

/** Whether the page comes by mail each morning, and when. */
const { at } = defineProps<{ at: string | null }>()
const emit = defineEmits<{ changed: [at: string | null] }>()
const { t } = useTexts()
const undo = useUndo()
const { busy, problem, fields, run, check } = useBusy()
const shown = ref(false)
const time = ref('')
watch(shown, () => (time.value = at ?? '07:30'))
const set = (next: string | null) =>
  run(async () => {
    await call(routes.setMorningMail, { body: { at: next } })
    shown.value = false
    undo.tell({ text: next ? t('today.mailSaved', { t: next }) : t('today.mailStopped') })
    emit('changed', next)
  })
function save(): void {
  if (check(morningMailSchema, { at: time.value })) void set(time.value)
}
</script>

<template>
  <el-popover v-model:visible="shown" trigger="click" placement="bottom-end" :width="270" :persistent="false">
    <template #reference>
      <button type="button" class="plain mail" :aria-expanded="shown">
        {{ at ? t('today.mailed', { t: at }) : t('today.mail') }}
      </button>
    </template>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('today.mailTime')" name="at">
        <el-input v-model="time" type="time" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('today.mailSave') }}</button>
        <button v-if="at" type="button" class="button stop" :disabled="busy" @click="set(null)">
          {{ t('today.mailStop') }}
        </button>
      </template>
    </DraftForm>
  </el-popover>
</template>

<style scoped>
.mail {
  font-size: 14px;
  color: var(--deep);
  cursor: pointer;
  white-space: nowrap;
}
.stop {
  margin-left: 8px;
}
</style>
