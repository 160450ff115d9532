<script setup lang="ts">
import { computed, ref } from 'vue'
import { Ellipsis, Footprints, Paperclip } from '@lucide/vue'
import { routes, type PersonCard, type PersonWay, type Visit } from '@murrabel/contract'
import { addressOf } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import RatingSteps from '../../parts/RatingSteps.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'
import FollowUpRows from '../followUps/FollowUpRows.vue'
import ProposalNote from './ProposalNote.vue'
import SentimentCourse from './SentimentCourse.vue'
import { useJoining } from './useJoining.ts'
import { useNetworks } from './useNetworks.ts'
import { useReasons } from './useReasons.ts'
import VisitRow from './VisitRow.vue'

const { person, may = false } = defineProps<{ person: PersonCard; may?: boolean }>()
const emit = defineEmits<{ changed: [person?: number]; show: [id: number] }>()
const PersonSheet = onDemand(() => import('./PersonSheet.vue'))
const VisitSheet = onDemand(() => import('./VisitSheet.vue'))
const DataSheet = onDemand(() => import('./DataSheet.vue'))
const WaySheet = onDemand(() => import('./WaySheet.vue'))
const { t, number, day, exact, languageName } = useTexts()
const brand = useBrand()
const why = useReasons()
const joining = useJoining((id) => emit('changed', id))
const editing = ref(false)
const wayOpen = ref(false)
const way = ref<PersonWay | null>(null)
function openWay(one: PersonWay | null): void {
  way.value = one
  wayOpen.value = true
}

const dataOpen = ref(false)
const asked = ref<'handOut' | 'erase'>('handOut')
function askData(kind: 'handOut' | 'erase'): void {
  asked.value = kind
  dataOpen.value = true
}
const visitOpen = ref(false)
const visit = ref<Visit | null>(null)
function openVisit(one: Visit | null): void {
  visit.value = one
  visitOpen.value = true
}
/** What they said and when they came, newest first; while older entries are not shown, older visits are not either. */
const course = computed(() => {
  const oldest = person.said > person.entries.length ? (person.entries.at(-1)?.at ?? '') : ''
  return [
    ...person.entries.map((entry) => ({ at: entry.at, key: `entry-${entry.id}`, entry, visit: null })),
    ...person.visits
      .filter(({ at }) => at >= oldest)
      .map((one) => ({ at: one.at, key: `visit-${one.id}`, entry: null, visit: one })),
  ].sort((a, b) => (a.at < b.at ? 1 : -1))
})
const visitsDone = computed(() => person.visits.filter(({ state }) => state === 'done').length)

const consentText = ({ consent, consentAt, consentHow, kind }: PersonWay): string => {
  if (consent === null) return ''
  const by = t(`people.by.${kind}`)
  const how = [consentHow, consentAt ? day(consentAt) : ''].filter(Boolean).join(', ')
  return t(consent ? 'people.mayBeWritten' : 'people.mayNotBeWritten', { by, how: how ? ` (${how})` : '' })
}
const consents = computed(() => person.ways.map(consentText).filter(Boolean))
const handles = computed(() =>
  person.accounts.flatMap(({ handle, name, network, url, id }) =>
    // What they are reached by stands there already; who writes for a feed has no account.
    (!handle && !url) || person.ways.some(({ value }) => value === handle?.toLowerCase())
      ? []
      : [{ id, url, text: `${handle ? `@${handle.replace(/^@/, '')}` : name} (${networksOf([network])})` }],
  ),
)
const networksOf = useNetworks()
const fileAddress = (id: number): string => addressOf(routes.attachment, { params: { id } })
const answerable = computed(() => person.entries.find(({ state }) => state === 'open')?.threadId ?? null)
const nameOf = (id: number) => person.members.find((member) => member.id === id)?.name ?? `#${id}`
const where = ({ network, placeId, state }: PersonCard['entries'][number]) =>
  [networksOf([network]), placeId === null ? '' : brand.placeName(placeId), t(`people.state.${state}`)]
    .filter(Boolean)
    .join(' · ')
</script>

<template>
  <article class="card" :aria-label="person.name">
    <header>
      <h2>{{ person.name }}</h2>
      <RouterLink
        v-if="answerable !== null"
        class="button"
        :to="{
          path: `/inbox/${answerable}`,
          query: { state: 'any', given: 'anybody', time: 'all' },
          hash: '#answer',
        }"
        >{{ t('people.answer') }}</RouterLink
      >
      <el-dropdown v-if="may && !person.erasedAt" :persistent="false" trigger="click">
        <button type="button" class="button icon" :aria-label="t('people.more')" :title="t('people.more')">
          <Ellipsis :size="16" />
        </button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item @click="editing = true">{{ t('people.edit') }}</el-dropdown-item>
            <el-dropdown-item @click="openWay(null)">{{ t('people.wayAdd') }}</el-dropdown-item>
            <el-dropdown-item @click="openVisit(null)">{{ t('people.visit.add') }}</el-dropdown-item>
            <template v-if="brand.mayCall('erasePerson')">
              <el-dropdown-item divided @click="askData('handOut')">{{
                t('people.data.handOut')
              }}</el-dropdown-item>
              <el-dropdown-item @click="askData('erase')">{{ t('people.data.erase') }}</el-dropdown-item>
            </template>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
    </header>
    <p class="soft ways">
      <template v-for="each in person.ways" :key="each.id">
        <button v-if="may" type="button" class="plain" @click="openWay(each)">{{ each.value }}</button>
        <span v-else>{{ each.value }}</span>
        <span aria-hidden="true"> · </span>
      </template>
      <template v-for="account in handles" :key="account.id">
        <a v-if="account.url" :href="account.url" rel="noreferrer noopener" target="_blank">{{
          account.text
        }}</a>
        <span v-else>{{ account.text }}</span>
        <span aria-hidden="true"> · </span>
      </template>
      <span v-if="person.language">{{ languageName(person.language) }} · </span>
      <span v-if="person.since">{{ t('people.since', { date: day(person.since) }) }}</span>
    </p>
    <p v-if="person.erasedAt" class="soft">{{ t('people.erasedOn', { date: day(person.erasedAt) }) }}</p>
    <p v-for="text in consents" :key="text" class="soft">{{ text }}</p>
    <p v-if="person.standing || person.note" class="known">
      <b v-if="person.standing">{{ t(`watch.voices.standings.${person.standing}`) }}</b>
      <span v-if="person.note" class="words">{{ person.note }}</span>
    </p>
    <p v-if="person.tags.length" class="tags">
      <RouterLink
        v-for="tag in person.tags"
        :key="tag"
        class="tag"
        :title="t('people.tagTitle')"
        :to="{ path: '/inbox/people', query: { taggedAs: tag, time: 'all' } }"
        >{{ brand.nameOfTag(tag) || `#${tag}` }}</RouterLink
      >
    </p>
    <p class="counts">
      <span
        ><b>{{ number(person.said) }}</b> {{ t('people.saidCount') }}</span
      >
      <span v-if="person.visitCount"
        ><b>{{ number(visitsDone) }}</b> {{ t('people.visit.countOf', visitsDone) }}</span
      >
      <span v-if="person.openThreads"
        ><b>{{ number(person.openThreads) }}</b> {{ t('people.openCount', person.openThreads)
        }}<span v-if="person.pastDue" class="past"
          >, {{ t('lens.pastDue', { n: person.pastDue }) }}</span
        ></span
      >
    </p>
    <SentimentCourse v-if="person.course.length > 1" :course="person.course" />
    <ProposalNote
      v-for="proposal in person.proposals"
      :key="`${proposal.one.id}-${proposal.other.id}`"
      class="proposal"
      :proposal="proposal"
      :may="may"
      :shown="person.id"
      @join="joining.join(proposal)"
      @apart="joining.apart(proposal)"
      @show="(id) => emit('show', id)"
    />
    <section v-if="person.followUps.length" class="follow-ups">
      <h3>{{ t('followUps.list') }}</h3>
      <FollowUpRows :follow-ups="person.followUps" :may="may" @changed="emit('changed')" />
    </section>
    <ol class="said" :aria-label="t('people.saidList')">
      <li v-for="{ at, key, entry, visit: came } in course" :key="key">
        <time :datetime="at" :title="exact(at)">{{ day(at) }}</time>
        <SentimentMark v-if="entry" :sentiment="entry.sentiment" />
        <Footprints v-else :size="14" class="came" />
        <VisitRow v-if="came" :visit="came" :may="may" @edit="openVisit(came)" />
        <div v-else-if="entry">
          <RatingSteps v-if="entry.rating !== null" :rating="entry.rating" />
          <RouterLink
            class="text words"
            :to="{
              path: `/inbox/${entry.threadId}`,
              query: { state: 'any', given: 'anybody', time: 'all', kind: 'all' },
            }"
            >{{ entry.title ? `${entry.title}. ` : '' }}{{ entry.text || t('people.noText') }}</RouterLink
          >
          <small class="soft">{{ where(entry) }}</small>
          <ul v-if="entry.files.length" class="files" :aria-label="t('people.files')">
            <li v-for="file in entry.files" :key="file.id">
              <Paperclip :size="13" />
              <a :href="fileAddress(file.id)" download>{{ file.name }}</a>
            </li>
          </ul>
        </div>
      </li>
    </ol>
    <p v-if="person.said > person.entries.length" class="soft">
      {{ t('people.newestShown', { n: person.entries.length, all: number(person.said) }) }}
    </p>
    <section v-if="person.joins.length">
      <h3>{{ t('people.members', { n: person.members.length }) }}</h3>
      <ul class="joins">
        <li v-for="join in person.joins" :key="join.id">
          <span
            >{{ t('people.joinLine', { one: nameOf(join.one), other: nameOf(join.other) }) }}
            <small class="soft"
              >{{ join.by ? t('people.joinedBy', { name: join.by, date: day(join.at) }) : t('people.certain')
              }}{{ join.reasons.length ? `: ${why(join.reasons)}` : '' }}</small
            ></span
          >
          <button v-if="may" type="button" class="plain" @click="joining.undo(join.id)">
            {{ t('people.undoJoin') }}
          </button>
        </li>
      </ul>
    </section>
    <PersonSheet v-model="editing" :person="person" @changed="emit('changed')" />
    <DataSheet
      v-model="dataOpen"
      :person="person.id"
      :name="person.name"
      :kind="asked"
      @changed="emit('changed')"
    />
    <VisitSheet v-model="visitOpen" :person="person.id" :visit="visit" @changed="emit('changed')" />
    <WaySheet v-model="wayOpen" :person="person.id" :way="way" @changed="emit('changed')" />
  </article>
</template>

<style scoped>
.card {
  padding: 14px 22px 30px;
}
header {
  display: flex;
  gap: 8px;
  align-items: center;
}
h2 {
  flex: 1;
  font-size: 18px;
  font-weight: 600;
  min-width: 0;
  overflow-wrap: anywhere;
}
header .icon {
  padding: 0 9px;
  min-height: 32px;
  display: inline-grid;
  place-items: center;
}
.files {
  list-style: none;
  margin: 3px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 13px;
}
.files li {
  display: flex;
  gap: 5px;
  align-items: center;
  padding: 0;
  border: 0;
}
.came {
  color: var(--ink-soft);
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.tag {
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 1px 8px;
  min-height: 24px;
  font-size: 13px;
  color: var(--ink);
}
header .button {
  text-decoration: none;
}
.ways {
  margin-top: 4px;
  overflow-wrap: anywhere;
}
.ways .plain {
  min-height: 24px;
  padding: 0;
}
.known {
  margin-top: 8px;
  display: flex;
  gap: 8px;
}
.counts {
  display: flex;
  gap: 24px;
  margin-top: 12px;
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
.proposal {
  margin: 10px 0;
}
.said {
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
}
.said li {
  display: grid;
  grid-template-columns: 62px 14px minmax(0, 1fr);
  gap: 10px;
  padding: 9px 0 10px;
  border-bottom: 1px solid var(--line);
}
.said time {
  font-size: 12px;
  line-height: 22px;
  color: var(--ink-soft);
}
.said svg {
  margin-top: 6px;
}
.text {
  border: 0;
  color: var(--ink);
  font-size: 16px;
  line-height: 22px;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 4;
  overflow: hidden;
}
.text:hover {
  color: var(--deep);
}
small {
  font-size: 12px;
}
h3 {
  margin-top: 20px;
  font-size: 14px;
  font-weight: 600;
}
.joins {
  list-style: none;
  margin: 0;
  padding: 0;
}
.joins li {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  align-items: baseline;
  padding: 6px 0;
}
.joins small {
  display: block;
}
.joins .plain {
  white-space: nowrap;
}
</style>
