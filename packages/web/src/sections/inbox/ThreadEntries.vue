<script setup lang="ts">
import { computed } from 'vue'
import { spansOfText, spansOfTitle } from '@murrabel/core/text'
import type { ThreadAnswer, ThreadEntry } from '@murrabel/contract'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useSearchPlaces } from '../../composables/useSearch.ts'
import EntryText from '../../parts/EntryText.vue'
import RatingSteps from '../../parts/RatingSteps.vue'
import { useBrand } from '../../stores/brand.ts'
import { webAddress } from '../../parts/webAddress.ts'
import { failureText } from './failureText.ts'
import EntryEdits from './EntryEdits.vue'
import EntryFigures from './EntryFigures.vue'
import EntryPictures from './EntryPictures.vue'
import PostAbove from './PostAbove.vue'
import AttachmentList from './AttachmentList.vue'
import MailBody from './MailBody.vue'
import MailHead from './MailHead.vue'
import JudgeLine from './JudgeLine.vue'
import OwnEntryChange from './OwnEntryChange.vue'
import ReportEntry from './ReportEntry.vue'
import VisitorTyping from './VisitorTyping.vue'

const brand = useBrand()
const { thread, may } = defineProps<{ thread: ThreadAnswer; may: boolean }>()
const emit = defineEmits<{
  judge: [entry: ThreadEntry, sentiment: 'positive' | 'neutral' | 'negative' | null]
  retry: [id: number]
  callBack: [entry: ThreadEntry]
  drop: [id: number]
  otherWay: [entry: ThreadEntry]
}>()
const { t, called, when, exact } = useTexts()

const lead = computed(() => thread.leadId)
const places = useSearchPlaces()
const hits = computed(() => thread.watches.flatMap((w) => w.hits))
</script>

<template>
  <div>
    <PostAbove v-if="thread.post" :post="thread.post" />
    <p v-else-if="thread.kind === 'comment' && thread.title" class="post">
      <b>{{ t('inbox.onPost') }}</b> {{ thread.title }}
    </p>
    <p v-if="thread.tags.length" class="tags">
      <span v-for="id in thread.tags" :key="id">{{ brand.nameOfTag(id) }}</span>
    </p>
    <article
      v-for="entry in thread.entries"
      :key="entry.id"
      class="entry"
      :class="{ ours: entry.direction === 'out', lead: entry.id === lead }"
      :data-entry="entry.id"
    >
      <header>
        <b>{{ entry.direction === 'out' ? entry.author || t('inbox.us') : entry.author }}</b>
        <span v-if="entry.private && entry.direction === 'out' && thread.reply.public" class="soft">{{
          t('inbox.private')
        }}</span>
        <RatingSteps v-if="entry.rating !== null" :rating="entry.rating" />
        <time class="soft" :datetime="entry.at" :title="exact(entry.at)">{{
          entry.undated ? t('inbox.undated', { t: when(entry.at) }) : when(entry.at)
        }}</time>
      </header>
      <MailHead v-if="entry.mail" :mail="entry.mail" :ours="entry.direction === 'out'" />
      <h3 v-if="entry.title && (!entry.mail || entry === thread.entries[0])" class="words title">
        <EntryText
          :text="entry.title"
          :hits="[...places(entry.title), ...(entry.id === lead ? spansOfTitle(entry.title, hits) : [])]"
        />
      </h3>
      <p v-if="entry.direction === 'out'" class="out">
        <EntryText :text="entry.text" :hits="places(entry.text)" />
      </p>
      <p v-else-if="entry.text" class="said" :class="{ lines: entry.mail }">
        <EntryText
          :text="entry.text"
          :spans="spansOfText(entry.title, entry.spans)"
          :hits="[...places(entry.text), ...(entry.id === lead ? spansOfText(entry.title, hits) : [])]"
        />
      </p>
      <p v-else-if="!entry.deletedAt && !entry.attachments.length && !entry.pictures.length" class="soft">
        {{ t('inbox.noWords') }}
      </p>
      <MailBody v-if="entry.mail" :entry="entry" :mail="entry.mail" />
      <EntryPictures :pictures="entry.pictures" />
      <AttachmentList
        v-if="entry.attachments.length"
        :files="entry.attachments"
        :left-out="entry.mail?.filesLeftOut"
      />
      <p v-if="entry.likes || entry.shares" class="figures">
        <EntryFigures :likes="entry.likes" :shares="entry.shares" />
      </p>
      <EntryEdits :entry="entry" />
      <JudgeLine
        v-if="entry.direction === 'in' && !entry.deletedAt"
        :entry="entry"
        :may="may"
        @judge="(sentiment) => emit('judge', entry, sentiment)"
      />
      <p v-if="entry.action" class="action" :class="entry.action.state" data-test="action">
        {{
          entry.action.deliveredAt && entry.action.state === 'sent'
            ? t('inbox.delivered', { t: when(entry.action.deliveredAt) })
            : t(`inbox.action.${entry.action.state}`)
        }}<template v-if="entry.action.attempts > 1"
          >, {{ t('inbox.tries', { n: entry.action.attempts }) }}</template
        >
        <template v-if="entry.action.error && entry.action.state !== 'sent'"
          >. {{ failureText(entry.action.error, called) }}.</template
        >
        <span v-if="entry.action.uncertain" class="uncertain">{{ t('inbox.uncertain') }}</span>
        <template v-if="may && (entry.action.state === 'failed' || entry.action.state === 'waiting')">
          <button type="button" class="plain" @click="emit('retry', entry.action.id)">
            {{ t('inbox.retry') }}
          </button>
          <button type="button" class="plain" @click="emit('callBack', entry)">
            {{ t('inbox.callBack') }}
          </button>
          <button
            v-if="entry.action.state === 'failed' && !thread.reply.handedOff && thread.channel !== 'email'"
            type="button"
            class="plain"
            @click="emit('otherWay', entry)"
          >
            {{ t('inbox.handOff.failed') }}
          </button>
        </template>
      </p>
      <ReportEntry
        v-if="may && (entry.reportable || entry.report)"
        :entry="entry"
        @retry="(id) => emit('retry', id)"
        @drop="(id) => emit('drop', id)"
      />
      <OwnEntryChange
        v-if="may && entry.changeable"
        :entry="entry"
        :most="thread.reply.maxLength"
        @retry="(id) => emit('retry', id)"
        @drop="(id) => emit('drop', id)"
      />
      <a
        v-if="entry.url && !entry.deletedAt"
        class="original"
        :href="webAddress(entry.url)"
        target="_blank"
        rel="noopener noreferrer"
        >{{ t('inbox.original', { network: networkName(thread) }) }}</a
      >
    </article>
    <VisitorTyping v-if="thread.visitor" :thread="thread" />
  </div>
</template>

<style scoped>
.post {
  max-width: 640px;
  margin-top: 10px;
  padding: 8px 12px;
  background: var(--paper);
  border-left: 3px solid var(--line);
  font-size: 14px;
  color: var(--ink-soft);
}
.post b {
  font-weight: 600;
  margin-right: 4px;
}
.entry {
  max-width: 640px;
  padding: 14px 0;
}
.entry + .entry {
  border-top: 1px solid var(--line);
}
.figures {
  font-size: 13px;
  margin-bottom: 4px;
}
.uncertain {
  flex-basis: 100%;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 6px;
}
header b {
  font-size: 15px;
  font-weight: 600;
}
.lead header b {
  font-size: 17px;
}
time {
  margin-left: auto;
  font-size: 13px;
}
.title {
  font-size: 17px;
  line-height: 24px;
  margin-bottom: 4px;
}
.said {
  font-size: 16px;
  line-height: 26px;
  margin-bottom: 8px;
}
.said.lines {
  white-space: pre-line;
  overflow-wrap: anywhere;
}
.lead .said {
  font-size: 17px;
  line-height: 27px;
}
.ours {
  padding-left: 16px;
  border-left: 3px solid var(--deep-wash);
}
.out {
  white-space: pre-line;
  overflow-wrap: anywhere;
}
.out :deep(.words) {
  font-family: inherit;
}
.action {
  font-size: 13px;
  color: var(--ink-soft);
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
  margin-top: 4px;
}
.failed {
  color: var(--flare-text);
}
.original {
  display: inline-block;
  min-height: 24px;
  font-size: 13px;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  font-size: 13px;
  margin-bottom: 8px;
}
.tags span {
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0 6px;
}
</style>
