<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useBusy } from '../../composables/useBusy.ts'
import { useT } from '../../composables/useT.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** Whose word is asked before an answer goes out. */
const shown = defineModel<boolean>({ required: true })
const { ask } = defineProps<{ ask: (of: number | null, comment: string) => Promise<void> }>()
const { t } = useT()
const brand = useBrand()
const { busy, problem, fields, run, forget } = useBusy()
/** 0: any lead's. */
const of = ref(0)
const comment = ref('')
watch(
  shown,
  (open) => {
    if (!open) return
    of.value = 0
    comment.value = ''
    forget()
  },
  { immediate: true },
)
const leads = computed(() =>
  brand.colleagues.filter(
    ({ id, role }) => (role === 'owner' || role === 'lead') && id !== brand.answer?.me.id,
  ),
)
const save = () =>
  run(async () => {
    await ask(of.value || null, comment.value)
    shown.value = false
  })
</script>

<template>
  <el-dialog v-model="shown" :title="t('approvals.ask')" width="420px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('approvals.whose')" name="of">
        <el-select v-model="of">
          <el-option :value="0" :label="t('approvals.any')" />
          <el-option v-for="lead in leads" :key="lead.id" :value="lead.id" :label="lead.name" />
        </el-select>
      </FormField>
      <FormField :label="t('approvals.comment')" name="comment">
        <el-input v-model="comment" type="textarea" :autosize="{ minRows: 2, maxRows: 5 }" maxlength="1000" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('approvals.send') }}</button>
      </template>
    </DraftForm>
  </el-dialog>
</template>
