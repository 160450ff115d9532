<script setup lang="ts">
import { computed, onMounted, reactive, ref, shallowRef } from 'vue'
import { keySchema, rights, routes, type AccessKey, type MadeKey, type Right } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import { useBrand } from '../../stores/brand.ts'
import ShownOnce from '../../parts/ShownOnce.vue'

/** Keys with which programs act for oneself. */
const { t, list, day } = useTexts()
const brand = useBrand()
const { busy, problem, fields, run, check } = useBusy()
const keys = shallowRef<AccessKey[] | null>(null)
const made = shallowRef<MadeKey | null>(null)
const lasting = [30, 90, 365] as const
const draft = reactive<{ name: string; rights: Right[]; days: (typeof lasting)[number] }>({
  name: '',
  rights: ['look'],
  days: 90,
})
/** A key gives no more than its maker has. */
const offered = computed(() => (Object.keys(rights) as Right[]).filter((right) => brand.may(right)))
const load = () => run(async () => void (keys.value = await call(routes.accessKeys)))
onMounted(load)
const now = ref(Date.now())
async function make(): Promise<void> {
  now.value = Date.now()
  const body = {
    name: draft.name,
    rights: draft.rights,
    endsAt: new Date(now.value + draft.days * 86_400_000).toISOString(),
  }
  if (!check(keySchema, body)) return
  await run(async () => {
    made.value = await call(routes.makeKey, { body })
    keys.value = await call(routes.accessKeys)
    draft.name = ''
  })
}
const remove = (key: AccessKey) =>
  run(async () => {
    await call(routes.removeKey, { params: { id: key.id } })
    if (made.value?.key.id === key.id) made.value = null
    keys.value = await call(routes.accessKeys)
  })
const ended = ({ endsAt }: AccessKey) => Date.parse(endsAt) < now.value
</script>

<template>
  <section class="keys">
    <h2>{{ t('keysAndHooks.own') }}</h2>
    <p class="soft">{{ t('keysAndHooks.ownText') }}</p>
    <ul v-if="keys?.length" class="list">
      <li v-for="key in keys" :key="key.id">
        <div>
          <b>{{ key.name }}</b> <code class="soft">…{{ key.ending }}</code>
          <small class="soft">{{ list(key.rights.map((right) => t(`keysAndHooks.right.${right}`))) }}</small>
        </div>
        <small :class="ended(key) ? 'past' : 'soft'">{{
          t(ended(key) ? 'keysAndHooks.ended' : 'keysAndHooks.ends', { date: day(key.endsAt) })
        }}</small>
        <small class="soft">{{
          key.usedAt ? t('keysAndHooks.used', { date: day(key.usedAt) }) : t('keysAndHooks.unused')
        }}</small>
        <button type="button" class="plain" :disabled="busy" @click="remove(key)">
          {{ t('keysAndHooks.remove') }}
        </button>
      </li>
    </ul>
    <ShownOnce v-if="made" :text="made.token" :label="t('keysAndHooks.keyOf', { name: made.key.name })">
      <p class="soft use">{{ t('keysAndHooks.useKey') }}</p>
    </ShownOnce>
    <DraftForm class="form" :problem="problem" :fields="fields" @send="make" @again="make">
      <FormField :label="t('keysAndHooks.name')" name="name">
        <el-input v-model="draft.name" maxlength="80" :placeholder="t('keysAndHooks.nameHint')" />
      </FormField>
      <FormField :label="t('keysAndHooks.mayDo')" name="rights">
        <el-checkbox-group v-model="draft.rights" class="rights">
          <el-checkbox v-for="right in offered" :key="right" :value="right">{{
            t(`keysAndHooks.right.${right}`)
          }}</el-checkbox>
        </el-checkbox-group>
      </FormField>
      <FormField :label="t('keysAndHooks.lasts')" name="endsAt">
        <el-radio-group v-model="draft.days">
          <el-radio v-for="days in lasting" :key="days" :value="days">{{
            t('keysAndHooks.days', { n: days }, days)
          }}</el-radio>
        </el-radio-group>
      </FormField>
      <template #actions>
        <button type="submit" class="button primary" :disabled="busy">{{ t('keysAndHooks.makeKey') }}</button>
      </template>
    </DraftForm>
  </section>
</template>

<style scoped src="./rows.css"></style>
<style scoped>
.rights {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
.form {
  max-width: 460px;
}
.use {
  font-size: 13px;
  margin-top: 6px;
}
</style>
