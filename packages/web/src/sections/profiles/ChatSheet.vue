<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { chatSiteSchema, routes, type ChatSiteAnswer, type ProfileAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import OriginField from './OriginField.vue'
import { useUndo } from '../../stores/undo.ts'

/** The chat box of a site: where it may stand, what it says, how a conversation goes on, and the tag that brings it. */
const shown = defineModel<boolean>({ required: true })
const { editing = null, profiles } = defineProps<{
  editing?: ProfileAnswer | null
  profiles: readonly ProfileAnswer[]
}>()
const emit = defineEmits<{ saved: [] }>()
const { t } = useTexts()
const undo = useUndo()
const { busy, problem, fields, run, check, forget } = useBusy()
const site = ref<ChatSiteAnswer | null>(null)
const draft = reactive({
  name: '',
  origins: [''],
  answerWithin: 5,
  mailProfileId: null as number | null,
  greeting: '',
})
const addresses = computed(() =>
  profiles.filter(({ network, status }) => network === 'email' && status !== 'disconnected'),
)
function show(answer: ChatSiteAnswer | null): void {
  site.value = answer
  Object.assign(draft, {
    name: answer?.name ?? t('profiles.chat.usualName'),
    origins: answer ? [...answer.origins] : [''],
    answerWithin: answer?.answerWithin ?? 5,
    mailProfileId: answer ? answer.mailProfileId : (addresses.value[0]?.id ?? null),
    greeting: answer?.greeting ?? '',
  })
}
watch(
  shown,
  (open) => {
    if (!open) return
    forget()
    show(null)
    const id = editing?.id
    if (id !== undefined) void run(async () => show(await call(routes.chat, { params: { id } })))
  },
  { immediate: true },
)
const body = computed(() => ({
  ...draft,
  origins: draft.origins.map((each) => each.trim()).filter((each, i) => each || i === 0),
}))
async function save(): Promise<void> {
  if (!check(chatSiteSchema, body.value)) return
  await run(async () => {
    const id = site.value?.profileId
    show(
      id === undefined
        ? await call(routes.addChat, { body: body.value })
        : await call(routes.changeChat, { params: { id }, body: body.value }),
    )
    undo.tell({ text: t('profiles.chat.saved') })
    emit('saved')
  })
}
async function copy(): Promise<void> {
  await navigator.clipboard?.writeText(site.value?.tag ?? '')
  undo.tell({ text: t('profiles.chat.copied') })
}
</script>

<template>
  <el-drawer v-model="shown" :title="t('profiles.chat.title')" size="560px" append-to-body>
    <section v-if="site" class="tag">
      <h3>{{ t('profiles.chat.tag') }}</h3>
      <p class="soft">{{ t('profiles.chat.tagHint') }}</p>
      <code data-test="chat-tag">{{ site.tag }}</code>
      <button type="button" class="button" @click="copy">{{ t('profiles.chat.copy') }}</button>
    </section>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <p v-if="!site" class="soft intro">{{ t('profiles.chat.intro') }}</p>
      <FormField :label="t('profiles.chat.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" />
      </FormField>
      <OriginField
        v-for="(origin, i) in draft.origins"
        :key="i"
        :model-value="origin"
        :label="i ? t('profiles.chat.another') : t('profiles.chat.origin')"
        :name="`origins[${i}]`"
        @update:model-value="draft.origins[i] = $event"
      />
      <button
        v-if="draft.origins.length < 20"
        type="button"
        class="plain more"
        @click="draft.origins.push('')"
      >
        {{ t('profiles.chat.addOrigin') }}
      </button>
      <FormField :label="t('profiles.chat.greeting')" name="greeting">
        <el-input v-model="draft.greeting" maxlength="200" :placeholder="t('profiles.chat.greetingHint')" />
      </FormField>
      <FormField :label="t('profiles.chat.mail')" name="mailProfileId">
        <el-select
          v-model="draft.mailProfileId"
          :placeholder="t('profiles.chat.noMail')"
          clearable
          :value-on-clear="null"
        >
          <el-option
            v-for="each in addresses"
            :key="each.id"
            :value="each.id"
            :label="each.address ?? each.name"
          />
        </el-select>
      </FormField>
      <FormField v-if="draft.mailProfileId !== null" :label="t('profiles.chat.within')" name="answerWithin">
        <el-input-number v-model="draft.answerWithin" :min="1" :max="120" :step="1" />
      </FormField>
      <p class="soft">
        {{ draft.mailProfileId === null ? t('profiles.chat.noMailHint') : t('profiles.chat.mailHint') }}
      </p>
      <template #actions>
        <div class="actions">
          <button type="submit" class="button primary" :disabled="busy">
            {{ site ? t('profiles.chat.save') : t('profiles.chat.make') }}
          </button>
          <button type="button" class="button" @click="shown = false">{{ t('watch.form.cancel') }}</button>
        </div>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.intro {
  margin-bottom: 12px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
.tag {
  margin-bottom: 20px;
}
.tag code {
  display: block;
  margin: 6px 0 8px;
  padding: 8px 12px;
  background: var(--paper);
  border: 1px solid var(--line);
  font-size: 13px;
  overflow-wrap: anywhere;
}
.more {
  margin-bottom: 12px;
}
.actions {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
</style>
