<script setup lang="ts">
import { computed, ref } from 'vue'
import { routes, type ColleagueSetUp, type Invitation, type Limits, type Team } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAsked } from '../../composables/useAsked.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import RowShapes from '../../parts/RowShapes.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'
import { useBrand } from '../../stores/brand.ts'

/** Who works on the brand, and who was asked to. */
const TeamSheet = onDemand(() => import('./TeamSheet.vue'))
const ColleagueSheet = onDemand(() => import('./ColleagueSheet.vue'))
const { t, number, list, when, day } = useTexts()
const brand = useBrand()
const attempt = useAttempt()
const always = computed<[string, string][]>(() => [])
const answer = useAsked(routes.colleagues, always)
const absences = useAsked(routes.absences, always)
const teamOpen = ref(false)
const team = ref<Team | null>(null)
function editTeam(chosen: Team | null): void {
  team.value = chosen
  teamOpen.value = true
}
/** On which days they are away, and who takes over. */
function awayText(id: number): string {
  const absence = absences.answer.value?.find((each) => each.colleagueId === id)
  if (!absence) return ''
  const { takeOver, team: teamId } = absence
  const ofTeam = brand.answer?.teams.find((each) => each.id === teamId)?.name
  const name = takeOver ? brand.colleagueName(takeOver) : ofTeam && t('colleagues.awayTeam', { name: ofTeam })
  const days = { from: plainDay(absence.from), until: plainDay(absence.until) }
  return name ? t('colleagues.awaySaidTaker', { ...days, name }) : t('colleagues.awaySaid', days)
}
/** A day of the brand's, which has no time: noon is the same day everywhere it is shown. */
const plainDay = (date: string): string => day(`${date}T12:00:00Z`)
const open = ref(false)
const chosen = ref<ColleagueSetUp | null>(null)
function edit(colleague: ColleagueSetUp | null): void {
  chosen.value = colleague
  open.value = true
}
async function changed(): Promise<void> {
  await Promise.all([answer.load(), absences.load(), brand.load()])
}
useLive(({ kind }) => {
  if (kind === 'brand' || kind === 'afresh') void Promise.all([answer.load(), absences.load()])
})
const takeBack = (invitation: Invitation) =>
  attempt(async () => {
    await call(routes.takeBackInvitation, { params: { id: invitation.id } })
    await answer.load()
  })
function seesText({ placeIds, profileIds }: Limits): string {
  const parts = [
    placeIds ? list(placeIds.map((id) => brand.placeName(id) || `#${id}`)) : '',
    profileIds ? t('colleagues.someProfiles', { n: number(profileIds.length) }, profileIds.length) : '',
  ].filter(Boolean)
  return parts.length ? parts.join(', ') : t('colleagues.all')
}
const mailText = ({ mail, error, ended, endsAt }: Invitation): string => {
  if (ended) return t('colleagues.ended', { date: day(endsAt) })
  if (mail === 'failed') return t('colleagues.mailFailed', { why: error ?? '' })
  return t(mail === 'sent' ? 'colleagues.mailSent' : 'colleagues.mailWaiting', { date: day(endsAt) })
}
</script>

<template>
  <SetUpFrame :title="t('colleagues.title')" :intro="t('colleagues.intro')">
    <ProblemNote v-if="answer.problem.value" :problem="answer.problem.value" @again="answer.load" />
    <RowShapes v-else-if="!answer.answer.value" :rows="5" :height="56" />
    <template v-else>
      <ul>
        <li v-for="colleague in answer.answer.value.colleagues" :key="colleague.id">
          <div>
            <b>{{ colleague.name }}</b> <small class="soft">{{ colleague.email }}</small>
          </div>
          <div>
            {{ t(`colleagues.roles.${colleague.role}`) }}
            <small class="soft">{{
              colleague.secondFactor
                ? list([seesText(colleague), t('colleagues.secondFactor')])
                : seesText(colleague)
            }}</small>
          </div>
          <div>
            <small class="soft">{{
              colleague.seenAt ? t('colleagues.seen', { t: when(colleague.seenAt) }) : t('colleagues.notSeen')
            }}</small>
            <small v-if="awayText(colleague.id)" class="away">{{ awayText(colleague.id) }}</small>
          </div>
          <button
            v-if="colleague.role !== 'owner' || brand.answer?.me.role === 'owner'"
            type="button"
            class="plain"
            @click="edit(colleague)"
          >
            {{ t('colleagues.edit') }}
          </button>
        </li>
      </ul>
      <template v-if="answer.answer.value.invitations.length">
        <h2>{{ t('colleagues.invited') }}</h2>
        <ul>
          <li v-for="invitation in answer.answer.value.invitations" :key="invitation.id">
            <div>
              <b>{{ invitation.email }}</b>
              <small class="soft">{{ t('colleagues.by', { name: invitation.invitedBy ?? '' }) }}</small>
            </div>
            <div>
              {{ t(`colleagues.roles.${invitation.role}`) }}
              <small class="soft">{{ seesText(invitation) }}</small>
            </div>
            <small :class="invitation.ended || invitation.mail === 'failed' ? 'past' : 'soft'">{{
              mailText(invitation)
            }}</small>
            <button type="button" class="plain" @click="takeBack(invitation)">
              {{ t('colleagues.takeBack') }}
            </button>
          </li>
        </ul>
      </template>
      <button type="button" class="button primary" @click="edit(null)">{{ t('colleagues.invite') }}</button>
      <section class="teams" data-test="teams">
        <h2>{{ t('colleagues.teams') }}</h2>
        <p class="soft">{{ t('colleagues.teamsText') }}</p>
        <ul v-if="brand.answer?.teams.length">
          <li v-for="each in brand.answer.teams" :key="each.id" class="team">
            <b>{{ each.name }}</b>
            <span>{{
              each.members.length ? list(each.members.map(brand.colleagueName)) : t('colleagues.noMembers')
            }}</span>
            <button type="button" class="plain" @click="editTeam(each)">{{ t('colleagues.edit') }}</button>
          </li>
        </ul>
        <button type="button" class="button" @click="editTeam(null)">{{ t('colleagues.addTeam') }}</button>
      </section>
      <TeamSheet v-model="teamOpen" :team="team" @changed="changed" />
      <ColleagueSheet
        v-model="open"
        :colleague="chosen"
        :others="answer.answer.value.colleagues"
        @changed="changed"
      />
    </template>
  </SetUpFrame>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 18px;
  padding: 0;
  border-top: 1px solid var(--line);
  max-width: 980px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 0.9fr) 260px auto;
  gap: 18px;
  align-items: baseline;
  padding: 9px 0;
  border-bottom: 1px solid var(--line);
}
b {
  font-weight: 600;
}
small {
  display: block;
  font-size: 13px;
  overflow-wrap: anywhere;
}
h2 {
  font-size: 16px;
  font-weight: 600;
  margin-bottom: 8px;
}
.teams {
  margin-top: 34px;
}
.teams p {
  margin-bottom: 10px;
  max-width: 720px;
}
.team {
  grid-template-columns: 200px minmax(0, 1fr) auto;
}
.away {
  color: var(--deep);
}
.past {
  color: var(--flare-text);
}
@media (max-width: 720px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
