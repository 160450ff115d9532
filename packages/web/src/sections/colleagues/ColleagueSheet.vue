<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import {
  colleagueSchema,
  invitationSchema,
  routes,
  type ColleagueSetUp,
  type InvitationDraft,
} from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import AwayForm from '../../parts/AwayForm.vue'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useUndo } from '../../stores/undo.ts'
import MemberFields from './MemberFields.vue'

/** Somebody is invited, changed, or leaves. */
const shown = defineModel<boolean>({ required: true })
const { colleague = null, others } = defineProps<{
  colleague?: ColleagueSetUp | null
  /** Who may take over the open threads of somebody who leaves. */
  others: ColleagueSetUp[]
}>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t, number } = useTexts()
const undo = useUndo()
const email = ref('')
const draft = ref<Omit<InvitationDraft, 'email'>>({ role: 'specialist', placeIds: null, profileIds: null })
const leaving = ref(false)
/** 0: shared out. */
const takeOver = ref(0)
watch(
  shown,
  (open) => {
    if (!open) return
    email.value = ''
    leaving.value = false
    takeOver.value = 0
    const { role, placeIds, profileIds } = colleague ?? {
      role: 'specialist',
      placeIds: null,
      profileIds: null,
    }
    draft.value = { role, placeIds, profileIds }
    forget()
  },
  { immediate: true },
)
const takers = computed(() => others.filter(({ id, role }) => id !== colleague?.id && role !== 'reader'))
const done = () => {
  shown.value = false
  emit('changed')
}
async function save(): Promise<void> {
  if (colleague) {
    if (!check(colleagueSchema, draft.value)) return
    await run(async () => {
      await call(routes.changeColleague, { params: { id: colleague.id }, body: draft.value })
      done()
    })
    return
  }
  const body = { email: email.value, ...draft.value }
  if (!check(invitationSchema, body)) return
  await run(async () => {
    await call(routes.invite, { body })
    done()
  })
}
const lift = () =>
  run(async () => {
    await call(routes.liftSecondFactor, { params: { id: colleague!.id } })
    undo.tell({ text: t('colleagues.lifted', { name: colleague!.name }) })
    done()
  })
const leave = () =>
  run(async () => {
    await call(routes.leave, { params: { id: colleague!.id }, body: { takeOver: takeOver.value || null } })
    done()
  })
</script>

<template>
  <el-drawer
    v-model="shown"
    :title="colleague ? colleague.name : t('colleagues.invite')"
    size="460px"
    append-to-body
  >
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField v-if="!colleague" :label="t('colleagues.email')" name="email">
        <el-input v-model="email" type="email" maxlength="254" />
        <p class="soft hint">{{ t('colleagues.inviteHint') }}</p>
      </FormField>
      <MemberFields v-model="draft" />
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">
            {{ colleague ? t('colleagues.save') : t('colleagues.send') }}
          </button>
          <button v-if="colleague && !leaving" type="button" class="button" @click="leaving = true">
            {{ t('colleagues.leave') }}
          </button>
        </div>
        <p v-if="colleague?.secondFactor" class="lift">
          <button type="button" class="plain" :disabled="busy" @click="lift">
            {{ t('colleagues.liftSecondFactor') }}
          </button>
          <span class="soft hint">{{ t('colleagues.liftHint') }}</span>
        </p>
        <section v-if="colleague && leaving" class="leaving">
          <p>{{ t('colleagues.leaveText', { name: colleague.name }) }}</p>
          <label v-if="colleague.openThreads">
            <span>{{
              t('colleagues.takeOver', { n: number(colleague.openThreads) }, colleague.openThreads)
            }}</span>
            <el-select v-model="takeOver" data-test="take-over">
              <el-option :value="0" :label="t('colleagues.shareOut')" />
              <el-option v-for="{ id, name } in takers" :key="id" :value="id" :label="name" />
            </el-select>
          </label>
          <button type="button" class="button" :disabled="busy" @click="leave">
            {{ t('colleagues.leaveNow', { name: colleague.name }) }}
          </button>
        </section>
      </template>
    </DraftForm>
    <section v-if="colleague && colleague.role !== 'reader'" class="absence">
      <h3>{{ t('colleagues.away') }}</h3>
      <AwayForm :key="colleague.id" :colleague-id="colleague.id" @changed="emit('changed')" />
    </section>
  </el-drawer>
</template>

<style scoped>
.hint {
  font-size: 13px;
}
.absence {
  border-top: 1px solid var(--line);
  margin-top: 22px;
  padding-top: 14px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
.lift {
  margin-top: 14px;
}
.lift span {
  display: block;
}
.actions {
  display: flex;
  gap: 8px;
}
.leaving {
  border-left: 3px solid var(--flare);
  margin-top: 18px;
  padding: 4px 14px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
}
.leaving label {
  width: 100%;
}
.leaving span {
  font-size: 13px;
}
</style>
