<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { GiveDraft, ThreadAnswer, ThreadEventDraft } from '@murrabel/contract'
import { useT } from '../../composables/useT.ts'
import KeyHint from '../../parts/KeyHint.vue'
import { useBrand } from '../../stores/brand.ts'
import AsideMenu from './AsideMenu.vue'
import GiveMenu from './GiveMenu.vue'
import MoreMenu from './MoreMenu.vue'

const { thread } = defineProps<{ thread: ThreadAnswer }>()
const emit = defineEmits<{
  /** Set aside until a time, or until they write. */
  event: [kind: ThreadEventDraft['kind'], until?: string | null]
  give: [draft: GiveDraft, name: string]
  prioritise: [priority: number]
  merge: []
  tags: []
  note: []
}>()
const { t } = useT()
const brand = useBrand()
const giveMenu = useTemplateRef<InstanceType<typeof GiveMenu>>('giveMenu')
const asideMenu = useTemplateRef<InstanceType<typeof AsideMenu>>('asideMenu')
const moreMenu = useTemplateRef<InstanceType<typeof MoreMenu>>('moreMenu')
const owner = computed(() => brand.ownerName(thread))
defineExpose({
  openGive: () => giveMenu.value?.open(),
  openAside: () => asideMenu.value?.open(),
  openMore: () => moreMenu.value?.open(),
})
</script>

<template>
  <button v-if="thread.state !== 'done'" type="button" class="button" @click="emit('event', 'finish')">
    {{ t('inbox.finish') }}<KeyHint shortcut="finish" />
  </button>
  <button
    v-if="thread.state !== 'open' && !thread.spam"
    type="button"
    class="button"
    @click="emit('event', 'reopen')"
  >
    {{ t('inbox.reopen') }}
  </button>
  <AsideMenu ref="asideMenu" @choose="(until) => emit('event', 'setAside', until)">
    <button type="button" class="button">{{ t('inbox.setAside') }}<KeyHint shortcut="aside" /></button>
  </AsideMenu>
  <GiveMenu ref="giveMenu" @choose="(draft, name) => emit('give', draft, name)">
    <button type="button" class="button">{{ owner || t('inbox.give') }}<KeyHint shortcut="give" /></button>
  </GiveMenu>
  <button type="button" class="button" @click="emit('tags')">
    {{ t('tags.tag') }}<KeyHint shortcut="tag" />
  </button>
  <button type="button" class="button" data-test="write-note" @click="emit('note')">
    {{ t('together.writeNote') }}<KeyHint shortcut="note" />
  </button>
  <MoreMenu
    ref="moreMenu"
    :priority="thread.priority"
    :spam="thread.spam !== null"
    @prioritise="(priority) => emit('prioritise', priority)"
    @spam="(spam) => emit('event', spam ? 'spam' : 'notSpam')"
  >
    <button type="button" class="button">{{ t('inbox.more') }}<KeyHint shortcut="more" /></button>
    <template #more>
      <el-dropdown-item v-if="thread.regroups" divided @click="emit('merge')">{{
        t('inbox.merge.open')
      }}</el-dropdown-item>
    </template>
  </MoreMenu>
</template>
