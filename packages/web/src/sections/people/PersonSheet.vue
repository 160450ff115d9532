<script setup lang="ts">
import { reactive, watch } from 'vue'
import { personSchema, routes, standings, type PersonCard, type Standing } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useSheetDraft } from '../../composables/useSheetDraft.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'

/** What colleagues know of somebody. */
const shown = defineModel<boolean>({ required: true })
const { person } = defineProps<{ person: PersonCard }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check, forget } = useBusy()
const { t, languageName } = useTexts()
const brand = useBrand()
const tagsOf = () => person.tags.map((id) => brand.nameOfTag(id)).filter(Boolean)
/** The list knows no null: an empty text is none. */
const draft = reactive<{
  name: string
  language: string
  standing: Standing | ''
  note: string
  tags: string[]
}>({
  name: '',
  language: '',
  standing: '',
  note: '',
  tags: [],
})
const languages = ['en', 'fr', 'de', 'es', 'it', 'nl', 'pt']
watch(
  shown,
  (open) => {
    if (!open) return
    Object.assign(draft, {
      name: person.name,
      language: person.language ?? '',
      standing: person.standing ?? '',
      note: person.note,
      tags: tagsOf(),
    })
    forget()
  },
  { immediate: true },
)
useSheetDraft({
  shown,
  key: () => `person.${person.id}.${person.edition}`,
  draft: () => ({ ...draft }),
  put: (kept) => Object.assign(draft, kept),
})
async function save(): Promise<void> {
  const body = {
    name: draft.name.trim(),
    language: draft.language || null,
    standing: draft.standing || null,
    note: draft.note,
    tags: draft.tags,
    edition: person.edition,
  }
  if (!check(personSchema, body)) return
  await run(async () => {
    // The name as it stands on the network is not made ours by looking at it.
    const { name, ...rest } = body
    await call(routes.changePerson, {
      params: { id: person.id },
      body: name === person.name ? rest : { ...rest, name },
    })
    shown.value = false
    // New tags have names now.
    if (body.tags.join('\n') !== tagsOf().join('\n')) await brand.load()
    emit('changed')
  })
}
</script>

<template>
  <el-drawer v-model="shown" :title="t('people.edit')" size="420px" append-to-body>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <FormField :label="t('people.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" />
        <p class="soft hint">{{ t('people.nameHint') }}</p>
      </FormField>
      <FormField :label="t('people.standing')" name="standing">
        <el-select v-model="draft.standing" clearable :empty-values="[null, undefined]" value-on-clear="">
          <el-option value="" :label="t('watch.voices.noStanding')" />
          <el-option
            v-for="each in standings"
            :key="each"
            :value="each"
            :label="t(`watch.voices.standings.${each}`)"
          />
        </el-select>
      </FormField>
      <FormField :label="t('people.language')" name="language">
        <el-select v-model="draft.language" :empty-values="[null, undefined]">
          <el-option value="" :label="t('people.languageUnknown')" />
          <el-option v-for="each in languages" :key="each" :value="each" :label="languageName(each)" />
        </el-select>
      </FormField>
      <FormField :label="t('people.tags')" name="tags">
        <el-select
          v-model="draft.tags"
          multiple
          filterable
          allow-create
          default-first-option
          :multiple-limit="20"
          :placeholder="t('people.tagsNone')"
          :no-data-text="t('people.tagsNone')"
        >
          <el-option v-for="{ id, name } in brand.tags" :key="id" :value="name" :label="name" />
        </el-select>
        <p class="soft hint">{{ t('people.tagsHint') }}</p>
      </FormField>
      <FormField :label="t('people.note')" name="note">
        <el-input v-model="draft.note" type="textarea" :rows="5" maxlength="2000" />
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('people.save') }}</button>
      </template>
    </DraftForm>
  </el-drawer>
</template>

<style scoped>
.hint {
  font-size: 13px;
}
</style>
