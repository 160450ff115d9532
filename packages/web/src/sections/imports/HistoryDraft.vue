<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { routes, type HistoryPreview, type ProfileAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'

/** What a file of mails, conversations or cards holds, and of which address or chat it is the history; cards are nobody's. */
const profileId = defineModel<number | null>({ required: true })
const { of } = defineProps<{ history: HistoryPreview; of: 'mail' | 'chat' | null }>()
const channel = { mail: 'email', chat: 'chat' } as const
const { t, number, day } = useTexts()
const profiles = ref<ProfileAnswer[] | null>(null)
const problem = ref<CallProblem | null>(null)
async function load(): Promise<void> {
  if (of === null) return
  try {
    profiles.value = (await call(routes.profiles)).filter((each) => each.channel === channel[of])
    if (profiles.value.length === 1) profileId.value ??= profiles.value[0]!.id
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
  }
}
onMounted(load)
</script>

<template>
  <p>
    {{ t(`import.entriesOf.${of ?? 'cards'}`, { n: number(history.entries) }, history.entries) }}
    <template v-if="history.first && history.last">{{
      t('import.mailsBetween', { first: day(history.first), last: day(history.last) })
    }}</template>
  </p>
  <p v-if="history.unreadable" class="wrong">
    {{ t('import.mailsUnreadable', { n: number(history.unreadable) }, history.unreadable) }}
  </p>
  <ul>
    <li v-for="(each, i) in history.sample" :key="i">
      <span class="words">{{ each.title }}</span> <span class="soft">{{ each.from }}</span>
    </li>
  </ul>
  <ProblemNote v-if="problem" :problem="problem" @again="load" />
  <p v-if="of && profiles && !profiles.length" class="wrong">
    {{ t(`import.noProfile.${of}`) }} <RouterLink to="/set-up/profiles">{{ t('profiles.title') }}</RouterLink>
  </p>
  <label v-else-if="profiles" class="of">
    <span>{{ t('import.mailOf') }}</span>
    <el-select v-model="profileId" data-test="history-profile">
      <el-option
        v-for="profile in profiles"
        :key="profile.id"
        :value="profile.id"
        :label="profile.address ?? profile.name"
      />
    </el-select>
  </label>
</template>

<style scoped>
ul {
  margin: 12px 0;
}
.wrong {
  color: var(--flare-text);
}
.of {
  display: block;
  max-width: 360px;
}
.of span {
  font-size: 13px;
}
</style>
