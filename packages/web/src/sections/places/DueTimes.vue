<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { lensKinds, lensSentiments } from '@murrabel/core/lens'
import {
  brandSetUpSchema,
  dueMinutes,
  routes,
  type BrandSetUp,
  type BrandSetUpDraft,
} from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { commonLanguages } from '../../composables/useLensOptions.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import HoursInput from './HoursInput.vue'

/** The brand's names, and how soon an answer is owed in the hours of its places. */
const { t, called, languageName } = useTexts()
const brand = useBrand()
const undo = useUndo()
const { busy, problem, fields, run, check } = useBusy()
type Rule = BrandSetUpDraft['rules'][number]
const draft = ref<BrandSetUp | null>(null)
/** Languages on offer, and those that were chosen before. */
const offered = computed(() => [
  ...new Set([...commonLanguages.filter((code) => code !== 'und'), ...(draft.value?.languages ?? [])]),
])
const load = () => run(async () => void (draft.value = await call(routes.brandSetUp)))
onMounted(load)
const addRule = () =>
  draft.value!.rules.push({ kinds: [], channels: [], sentiments: [], priority: 0, minutes: 60 })
const setRule = (i: number, part: Partial<Rule>) => {
  draft.value!.rules[i] = { ...draft.value!.rules[i]!, ...part }
}
async function save(): Promise<void> {
  const { zone: _zone, ...body } = draft.value!
  if (!check(brandSetUpSchema, body)) return
  await run(async () => {
    draft.value = await call(routes.changeBrand, { body: { ...body, rules: [...body.rules] } })
    await brand.load()
    undo.tell({ text: t('places.dueSaved') })
  })
}
</script>

<template>
  <section v-if="draft" class="due">
    <h2>{{ t('places.due') }}</h2>
    <p class="soft">{{ t('places.dueText', { zone: draft.zone }) }}</p>
    <DraftForm :problem="problem" :fields="fields" @send="save" @again="save">
      <div class="pair">
        <FormField :label="t('places.brandName')" name="name">
          <el-input v-model="draft.name" maxlength="80" />
        </FormField>
        <FormField :label="t('places.nicknames')" name="nicknames">
          <el-select
            v-model="draft.nicknames"
            multiple
            filterable
            allow-create
            default-first-option
            :no-data-text="t('places.nicknamesHint')"
            :placeholder="t('places.nicknamesHint')"
          />
        </FormField>
        <FormField :label="t('places.languages')" name="languages">
          <el-select v-model="draft.languages" multiple filterable>
            <el-option v-for="code in offered" :key="code" :value="code" :label="languageName(code)" />
          </el-select>
        </FormField>
        <FormField :label="t('places.promiseLimit')" name="promiseLimit">
          <el-input-number
            v-model="draft.promiseLimit"
            :min="0"
            :max="1000000"
            :controls="false"
            :value-on-clear="null"
            :placeholder="t('places.promiseLimitHint')"
          />
        </FormField>
      </div>
      <div class="minutes">
        <FormField
          v-for="name in dueMinutes"
          :key="name"
          :label="t(`places.dueOf.${name}`)"
          :name="`due.${name}`"
        >
          <HoursInput v-model="draft.due[name]" />
        </FormField>
      </div>
      <h3>{{ t('places.rules') }}</h3>
      <p class="soft hint">{{ t('places.rulesHint') }}</p>
      <div v-for="(rule, i) in draft.rules" :key="i" class="rule">
        <el-select
          :model-value="[...rule.kinds]"
          multiple
          collapse-tags
          :aria-label="t('places.ruleKinds')"
          :placeholder="t('places.ruleKinds')"
          @update:model-value="(kinds: Rule['kinds']) => setRule(i, { kinds })"
        >
          <el-option v-for="kind in lensKinds" :key="kind" :value="kind" :label="t(`lens.kind.${kind}`)" />
        </el-select>
        <el-select
          :model-value="[...rule.channels]"
          multiple
          collapse-tags
          :aria-label="t('places.ruleChannels')"
          :placeholder="t('places.ruleChannels')"
          @update:model-value="(channels: string[]) => setRule(i, { channels })"
        >
          <el-option
            v-for="channel in brand.answer?.channels ?? []"
            :key="channel"
            :value="channel"
            :label="called('lens.channel', channel)"
          />
        </el-select>
        <el-select
          :model-value="[...rule.sentiments]"
          multiple
          collapse-tags
          :aria-label="t('places.ruleSentiments')"
          :placeholder="t('places.ruleSentiments')"
          @update:model-value="(sentiments: Rule['sentiments']) => setRule(i, { sentiments })"
        >
          <el-option
            v-for="each in lensSentiments"
            :key="each"
            :value="each"
            :label="t(`lens.sentiment.${each}`)"
          />
        </el-select>
        <el-select
          :model-value="rule.priority"
          :aria-label="t('places.rulePriority')"
          @update:model-value="(priority: Rule['priority']) => setRule(i, { priority })"
        >
          <el-option
            v-for="each in [0, 1, 2] as const"
            :key="each"
            :value="each"
            :label="t(`places.priority.${each}`)"
          />
        </el-select>
        <HoursInput
          :model-value="rule.minutes"
          :label="t('places.ruleHours')"
          :placeholder="t('places.noneOwed')"
          @update:model-value="(minutes) => setRule(i, { minutes })"
        />
        <button type="button" class="plain" @click="draft.rules.splice(i, 1)">
          {{ t('places.ruleRemove') }}
        </button>
      </div>
      <p class="add">
        <button type="button" class="plain" @click="addRule">{{ t('places.ruleAdd') }}</button>
      </p>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('places.save') }}</button>
      </template>
    </DraftForm>
  </section>
</template>

<style scoped>
.due {
  margin-top: 34px;
  max-width: 980px;
}
h2 {
  font-size: 16px;
  font-weight: 600;
}
h2 + p {
  margin-bottom: 12px;
}
h3 {
  font-size: 14px;
  font-weight: 600;
  margin-top: 8px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 16px;
}
.minutes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 0 16px;
}
.rule {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) 130px auto;
  gap: 8px;
  align-items: center;
  margin-bottom: 8px;
}
.add {
  margin-bottom: 16px;
}
.hint {
  font-size: 13px;
  margin-bottom: 8px;
}
@media (max-width: 900px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
  .rule {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
