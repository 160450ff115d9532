<script setup lang="ts">
import { computed } from 'vue'
import type { UrgencyPart } from '@murrabel/core/inbox'
import type { ThreadAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import RatingSteps from '../../parts/RatingSteps.vue'
import ThreadFollowUps from '../followUps/ThreadFollowUps.vue'
import ThreadVisit from '../people/ThreadVisit.vue'
import VisitorPanel from './VisitorPanel.vue'
import SentimentMark from '../../parts/SentimentMark.vue'

const { thread } = defineProps<{ thread: ThreadAnswer }>()
const { t, called, when, day, span, exact, number } = useTexts()

function partText({ name, amount }: UrgencyPart): string {
  const isTime = name === 'pastDue' || name === 'nearDue'
  return t(`inbox.part.${name}`, isTime ? { t: span(amount) } : { n: number(amount) }, isTime ? 1 : amount)
}
const brand = useBrand()
/** Where the gap is felt: due by day and night because nobody knows when it is open. */
const placeWithoutHours = computed(() => {
  const place = brand.places.find(({ id }) => id === thread.placeId)
  return thread.dueAt && place && !place.hours ? place.name : ''
})
/** What did not go out stands before everything that points could weigh. */
const notSent = computed(() => thread.urgency?.parts.some(({ name }) => name === 'notSent') ?? false)
/** An address or a number as it is, a handle as networks write it. */
const handleText = (handle: string) => (/@|^\+[\d ()-]+$/.test(handle) ? handle : `@${handle}`)
const eventText = ({ kind, by, at }: ThreadAnswer['events'][number]) =>
  [called('inbox.event', kind), by, when(at)].filter(Boolean).join(', ')
</script>

<template>
  <aside class="panel" :aria-label="t('inbox.who')">
    <section v-if="thread.person">
      <h3>
        <RouterLink class="person" :to="`/inbox/people/${thread.person.id}`">{{
          thread.person.name
        }}</RouterLink>
      </h3>
      <p class="soft">
        {{ thread.person.handle ? `${handleText(thread.person.handle)} · ` : ''
        }}{{
          t(
            'inbox.saidTimes',
            { n: thread.person.count, date: day(thread.person.since) },
            thread.person.count,
          )
        }}
      </p>
      <h4>{{ t('inbox.before') }}</h4>
      <p v-if="!thread.person.before.length" class="soft">{{ t('inbox.nothingBefore') }}</p>
      <RouterLink
        v-for="said in thread.person.before"
        :key="said.id"
        class="said"
        :to="{ path: `/inbox/${said.threadId}`, query: $route.query }"
      >
        <SentimentMark :sentiment="said.sentiment" />
        <span>
          <span v-if="said.text" class="words">“{{ said.text }}”</span>
          <RatingSteps v-if="said.rating !== null" :rating="said.rating" />
          <time class="soft" :datetime="said.at" :title="exact(said.at)">{{ when(said.at) }}</time>
        </span>
      </RouterLink>
    </section>
    <VisitorPanel v-if="thread.visitor" :thread="thread" :visitor="thread.visitor" />
    <ThreadVisit :thread-id="thread.id" />
    <ThreadFollowUps :thread-id="thread.id" />
    <section v-if="thread.urgency">
      <h4>{{ t('inbox.whyFirst') }}</h4>
      <p v-if="placeWithoutHours" class="soft hours">
        {{ t('places.gapHere', { name: placeWithoutHours }) }}
      </p>
      <dl>
        <template v-for="part in thread.urgency.parts" :key="part.name">
          <dt>{{ partText(part) }}</dt>
          <dd>{{ part.name === 'notSent' ? '' : part.points }}</dd>
        </template>
        <template v-if="!notSent">
          <dt class="sum">&nbsp;</dt>
          <dd class="sum">{{ thread.urgency.points }}</dd>
        </template>
      </dl>
    </section>
    <section v-if="thread.watches.length">
      <h4>{{ t('inbox.watches') }}</h4>
      <p>
        <RouterLink
          v-for="watch in thread.watches"
          :key="watch.id"
          class="watch"
          :to="{ path: '/watch', query: { watch: watch.id } }"
          >{{ watch.name }}</RouterLink
        >
      </p>
    </section>
    <section v-if="thread.events.length">
      <h4>{{ t('inbox.events') }}</h4>
      <p v-for="event in thread.events" :key="event.id" class="event" :title="exact(event.at)">
        {{ eventText(event) }}
      </p>
    </section>
  </aside>
</template>

<style scoped>
.panel {
  background: var(--paper);
  border-left: 1px solid var(--line);
  padding: 16px 20px;
  overflow-y: auto;
  font-size: 14px;
}
section {
  margin-bottom: 18px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
h3 .person {
  border: 0;
  color: inherit;
}
h3 .person:hover {
  color: var(--deep);
}
h4 {
  margin-top: 12px;
}
.said {
  display: flex;
  gap: 6px;
  border: 0;
  color: inherit;
  padding: 4px 0 8px;
}
.said svg {
  margin-top: 5px;
}
.said .words {
  display: block;
  overflow-wrap: anywhere;
}
.said time {
  display: block;
  font-size: 12px;
}
dl {
  display: grid;
  grid-template-columns: 1fr auto;
  row-gap: 4px;
  margin: 0;
  font-size: 13px;
}
dd {
  padding-left: 12px;
  margin: 0;
  font-weight: 600;
  text-align: right;
}
.hours {
  font-size: 13px;
  margin-bottom: 6px;
}
.sum {
  border-top: 1px solid var(--line);
}
.watch {
  margin-right: 12px;
}
.event {
  font-size: 13px;
  color: var(--ink-soft);
}
</style>
