<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
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
import HandOverLine from './HandOverLine.vue'
import SpamLine from './SpamLine.vue'
import ThreadApproval from './ThreadApproval.vue'
import ThreadNote from './ThreadNote.vue'
import VisitorTyping from './VisitorTyping.vue'

const MarkedText = defineAsyncComponent(() => import('./editor/MarkedText.vue'))

const brand = useBrand()
const { thread, may } = defineProps<{ thread: ThreadAnswer; may: boolean }>()
const emit = defineEmits<{
  judge: [entry: ThreadEntry, sentiment: 'positive' | 'neutral' | 'negative' | null]
  retry: [id: number]
  callBack: [entry: ThreadEntry]
  drop: [id: number]
  /** It is no spam. */
  unmark: []
  /** A thread of its own, from here on. */
  split: [entry: number]
  otherWay: [entry: ThreadEntry]
  /** A note was changed. */
  changed: []
  /** A text that comes back to its writer. */
  putBack: [text: string]
}>()
const { t, called, when, exact } = useTexts()

const lead = computed(() => thread.leadId)
const places = useSearchPlaces()
/** What was said, and what colleagues noted, as it came. */
const course = computed(() =>
  [
    ...thread.entries.map((entry) => ({ at: entry.at, entry, note: null, approval: null, handed: null })),
    ...thread.notes.map((note) => ({ at: note.at, entry: null, note, approval: null, handed: null })),
    // What waits stands where it was asked, what was decided where that was.
    ...thread.approvals.map((approval) => ({
      at: approval.decidedAt ?? approval.askedAt,
      entry: null,
      note: null,
      approval,
      handed: null,
    })),
    ...thread.events
      .filter(({ kind, detail }) => kind === 'handOver' && (detail.why || detail.word))
      .map((handed) => ({ at: handed.at, entry: null, note: null, approval: null, handed })),
  ].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)),
)
const hits = computed(() => thread.watches.flatMap((w) => w.hits))
</script>

<template>
  <div>
    <SpamLine v-if="thread.spam" :spam="thread.spam" :may="may" @unmark="emit('unmark')" />
    <PostAbove v-if="thread.post" :post="thread.post" />
    <p v-else-if="thread.kind === 'comment' && thread.title" class="post">
      <b>{{ t('inbox.onPost') }}</b> {{ thread.title }}
    </p>
    <p v-if="thread.tags.length" class="tags">
      <span v-for="id in thread.tags" :key="id">{{ brand.nameOfTag(id) }}</span>
    </p>
    <template
      v-for="{ entry, note, approval, handed } in course"
      :key="
        entry
          ? `e${entry.id}`
          : note
            ? `n${note.id}`
            : handed
              ? `h${handed.id}`
              : `v${approval!.id}.${approval!.state}`
      "
    >
      <HandOverLine v-if="handed" :event="handed" />
      <ThreadApproval
        v-else-if="approval"
        :approval="approval"
        :markup="thread.reply.markup"
        @changed="emit('changed')"
        @put-back="(text) => emit('putBack', text)"
      />
      <ThreadNote v-else-if="note" :note="note" :thread="thread.id" @changed="emit('changed')" />
      <article
        v-else-if="entry"
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
          <button
            v-if="may && thread.regroups && entry.direction === 'in' && entry !== thread.entries[0]"
            type="button"
            class="plain split"
            @click="emit('split', entry.id)"
          >
            {{ t('inbox.split') }}
          </button>
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
        <MarkedText v-if="entry.action?.written" class="out" :markup="entry.action.written" />
        <p v-else-if="entry.direction === 'out'" class="out">
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
              : entry.action.sendAt && entry.action.state === 'waiting'
                ? t('replies.goesOut', { t: when(entry.action.sendAt) })
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
              {{
                entry.action.sendAt && entry.action.attempts === 0 ? t('replies.sendNow') : t('inbox.retry')
              }}
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
          >{{ t('inbox.original', { network: networkName(thread, t('profiles.email.channel')) }) }}</a
        >
      </article>
    </template>
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
