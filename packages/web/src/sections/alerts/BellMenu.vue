<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { Bell } from '@lucide/vue'
import { routes, type BellAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useNotices } from '../../stores/notices.ts'
import { useDesktopNotices } from './useDesktopNotices.ts'
import { useNoticeTexts } from './useNoticeTexts.ts'
import { useAlertTexts } from './alertTexts.ts'

/** What alerts have told in the application. Opening it is seeing it. */
const { t, when, exact } = useTexts()
const { told } = useAlertTexts()
const router = useRouter()
const notices = useNotices()
const { grouped, toldOf } = useNoticeTexts()
useDesktopNotices()
const answer = ref<BellAnswer | null>(null)

async function load(): Promise<void> {
  // The bell is silent when the server is; the page says so by itself.
  answer.value = await call(routes.bell).catch(() => answer.value)
}
onMounted(() => {
  void load()
  void notices.load().catch(() => {})
})
const refresh = gathered(() => load(), 200)
useLive(({ kind }) => {
  if (kind === 'notices') void notices.load().catch(() => {})
  if (kind === 'alerts' || kind === 'thread') refresh()
})
/** What one has not seen, and what stays until somebody decides. */
const waiting = computed(
  () =>
    (answer.value?.unseen ?? 0) +
    (answer.value?.notSent.length ?? 0) +
    notices.unseen.filter(({ kind }) => kind !== 'notSent').length,
)
async function onOpen(open: boolean): Promise<void> {
  const newest = answer.value?.events[0]?.id
  if (!open || !newest || !answer.value?.unseen) return
  await call(routes.bellSeen, { body: { upTo: newest } }).catch(() => {})
  answer.value = { ...answer.value, unseen: 0 }
}
</script>

<template>
  <el-dropdown :persistent="false" trigger="click" placement="bottom-end" @visible-change="onOpen">
    <button
      type="button"
      class="bell"
      :aria-label="t('alerts.bell.label', { n: waiting }, waiting)"
      data-test="bell"
    >
      <Bell :size="18" /><sup v-if="waiting">{{ waiting }}</sup>
    </button>
    <template #dropdown>
      <el-dropdown-menu class="told">
        <el-dropdown-item
          v-for="lost in answer?.notSent.slice(0, 6) ?? []"
          :key="`not-sent-${lost.id}`"
          data-test="not-sent"
          @click="router.push(`/inbox/${lost.threadId}?state=any&given=anybody&time=all`)"
        >
          <span class="event"
            ><b class="lost">{{ t('alerts.bell.notSent', { profile: lost.profile }) }}</b> {{ lost.text }}
            <time class="soft" :title="exact(lost.at)">{{ when(lost.at) }}</time></span
          >
        </el-dropdown-item>
        <el-dropdown-item
          v-for="group in grouped.slice(0, 6)"
          :key="`notice-${group.id}`"
          data-test="notice"
          @click="router.push(`/inbox/${group.thread}?state=any&given=anybody&time=all`)"
        >
          <span class="event" :class="{ unseen: !group.seen }"
            >{{ toldOf(group) }} <q v-if="group.text" class="note">{{ group.text }}</q>
            <time class="soft" :title="exact(group.at)">{{ when(group.at) }}</time></span
          >
        </el-dropdown-item>
        <el-dropdown-item
          v-if="!answer?.events.length && !answer?.notSent.length && !grouped.length"
          disabled
          >{{ t('alerts.bell.none') }}</el-dropdown-item
        >
        <el-dropdown-item
          v-for="event in answer?.events.slice(0, 8) ?? []"
          :key="event.id"
          @click="router.push(event.link)"
        >
          <span class="event"
            ><b>{{ event.alert }}</b> {{ told(event) }}
            <time class="soft" :title="exact(event.at)">{{ when(event.at) }}</time></span
          >
        </el-dropdown-item>
        <el-dropdown-item divided @click="router.push('/watch/alerts')">{{
          t('alerts.bell.all')
        }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>

<style scoped>
.bell {
  position: relative;
  background: none;
  border: 0;
  padding: 4px;
  line-height: 0;
  color: var(--band-soft);
  cursor: pointer;
}
.bell:hover {
  color: var(--band-text);
}
sup {
  position: absolute;
  top: 2px;
  right: -6px;
  font-size: 11px;
  font-weight: 600;
  line-height: 12px;
  color: var(--glow);
}
.told {
  width: 380px;
}
.event {
  white-space: normal;
  line-height: 18px;
}
.unseen {
  font-weight: 600;
}
.note {
  font-weight: 400;
}
.lost {
  color: var(--flare-text);
}
.event time {
  display: block;
  font-size: 12px;
}
</style>
