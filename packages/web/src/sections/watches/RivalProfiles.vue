<script setup lang="ts">
import { ref } from 'vue'
import {
  publicProfileSchema,
  routes,
  type PublicProfile,
  type PublicSide,
  type RivalRow,
} from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useBusy } from '../../composables/useBusy.ts'
import { useTexts } from '../../composables/useTexts.ts'
import DraftForm from '../../parts/DraftForm.vue'
import FormField from '../../parts/FormField.vue'
import RatingSteps from '../../parts/RatingSteps.vue'
import { webAddress } from '../../parts/webAddress.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

/** What public profiles show: ours, and those of rivals; and where to add one. */
const { sides, rows } = defineProps<{ sides: PublicSide[]; rows: RivalRow[] }>()
const emit = defineEmits<{ changed: [] }>()
const { busy, problem, fields, run, check } = useBusy()
const { t, number, when } = useTexts()
const brand = useBrand()
const undo = useUndo()
const address = ref('')
const watch = ref<number | null>(null)

const grown = (part: number) =>
  `${part < 0 ? '−' : '+'}${Math.abs(part * 100).toLocaleString(undefined, { maximumFractionDigits: 1 })}%`

function sentence(side: PublicSide): string {
  const parts: string[] = []
  if (side.rating && !side.ours && side.ratingToOurs)
    parts.push(
      !side.ratingToOurs.enough
        ? t('watch.rivals.ratedFew')
        : side.ratingToOurs.sure
          ? t(`watch.rivals.${side.ratingToOurs.difference > 0 ? 'ratedAbove' : 'ratedBelow'}`)
          : t('watch.rivals.ratedAlike'),
    )
  if (side.growth !== null)
    parts.push(
      side.growthBefore === null
        ? t('watch.rivals.grewOnly', { now: grown(side.growth) })
        : t('watch.rivals.grew', { now: grown(side.growth), before: grown(side.growthBefore) }),
    )
  if (side.postsChange)
    parts.push(
      t(
        `watch.rivals.${!side.postsChange.sure ? 'postsAlike' : side.postsChange.difference > 0 ? 'postsMore' : 'postsFewer'}`,
      ),
    )
  if (!parts.length) return t('watch.rivals.nothingSeen', { name: side.name })
  const said = parts.join('; ')
  return `${side.name}: ${said}.`
}

const attempt = (work: () => Promise<unknown>) =>
  run(async () => {
    await work()
    emit('changed')
  })
async function add(): Promise<void> {
  const body = { address: address.value, watchId: watch.value! }
  if (!check(publicProfileSchema, body)) return
  await attempt(async () => {
    await call(routes.addPublicProfile, { body })
    address.value = ''
  })
}
const remove = (profile: PublicProfile) =>
  attempt(async () => {
    await call(routes.removePublicProfile, { params: { id: profile.id } })
    undo.tell({
      text: t('watch.rivals.removed', { name: profile.name }),
      undo: () =>
        attempt(() =>
          call(routes.addPublicProfile, { body: { address: profile.url, watchId: profile.watchId! } }),
        ),
    })
  })
</script>

<template>
  <section>
    <h3>{{ t('watch.rivals.profiles') }}</h3>
    <table v-if="sides.length">
      <thead>
        <tr>
          <th>{{ t('watch.rivals.company') }}</th>
          <th>{{ t('watch.rivals.ratings') }}</th>
          <th class="n">{{ t('watch.rivals.followers') }}</th>
          <th class="n">{{ t('watch.rivals.growth') }}</th>
          <th class="n">{{ t('watch.rivals.posts') }}</th>
          <th>{{ t('watch.rivals.seenOn') }}</th>
        </tr>
      </thead>
      <tbody v-for="side in sides" :key="side.watchId ?? 0" data-test="public-side">
        <tr>
          <th>
            {{ side.name }} <span v-if="side.ours" class="soft">{{ t('watch.rivals.ours') }}</span>
          </th>
          <td>
            <template v-if="side.rating">
              <RatingSteps :rating="side.rating.mean" />
              <span class="soft"
                >{{ side.rating.low.toFixed(2) }} – {{ side.rating.high.toFixed(2) }},
                {{ t('watch.rivals.ofRatings', { n: number(side.rating.n) }, side.rating.n) }}</span
              >
            </template>
          </td>
          <td class="n">{{ side.followers === null ? '' : number(side.followers) }}</td>
          <td class="n">{{ side.growth === null ? '' : grown(side.growth) }}</td>
          <td class="n">{{ side.posts === null ? '' : number(side.posts) }}</td>
          <td class="pages">
            <RouterLink v-if="side.ours" to="/set-up/profiles">{{
              t('watch.rivals.ownProfiles', { n: side.profiles.length }, side.profiles.length)
            }}</RouterLink>
            <span v-for="profile in side.ours ? [] : side.profiles" :key="profile.id">
              <a
                :href="webAddress(profile.url)"
                target="_blank"
                rel="noopener noreferrer"
                :title="profile.lookedAt ? t('watch.rivals.lookedAt', { time: when(profile.lookedAt) }) : ''"
                >{{ profile.name }}</a><span v-if="profile.problem" class="wrong" :title="profile.problem">{{
                t('watch.rivals.notSeen')
              }}</span
              ><button
                v-if="brand.mayCall('addPublicProfile')"
                type="button"
                class="plain"
                :disabled="busy"
                :aria-label="t('watch.rivals.removeProfile', { name: profile.name })"
                @click="remove(profile)"
              >
                {{ t('watch.rivals.remove') }}
              </button>
            </span>
          </td>
        </tr>
        <tr class="sentence">
          <td colspan="6">{{ sentence(side) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="soft">{{ t('watch.rivals.noProfiles') }}</p>
    <DraftForm
      v-if="brand.mayCall('addPublicProfile') && rows.some((row) => !row.ours)"
      :problem="problem"
      :fields="fields"
      @send="add"
      @again="add"
    >
      <div class="add">
        <FormField :label="t('watch.rivals.address')" name="address">
          <el-input id="rival-address" v-model="address" placeholder="https://" />
        </FormField>
        <FormField :label="t('watch.rivals.whose')" name="watchId">
          <el-select id="rival-watch" v-model="watch">
            <el-option
              v-for="row in rows.filter((each) => !each.ours)"
              :key="row.watch.id"
              :value="row.watch.id"
              :label="row.watch.name"
            />
          </el-select>
        </FormField>
        <button type="submit" class="button" :disabled="busy || !address.trim() || watch === null">
          {{ t('watch.rivals.add') }}
        </button>
      </div>
    </DraftForm>
  </section>
</template>

<style scoped>
section {
  margin-top: 28px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
  margin-bottom: 4px;
}
td .soft,
th .soft {
  margin-left: 6px;
  font-weight: 400;
}
.pages > span {
  display: block;
}
.pages a,
.pages .plain {
  display: inline-block;
  min-height: 24px;
}
.pages .plain,
.pages .wrong {
  margin-left: 8px;
  font-size: 12px;
}
.add {
  display: grid;
  grid-template-columns: 380px 220px auto;
  justify-content: start;
  align-items: start;
  gap: 10px;
  margin-top: 16px;
}
.add .button {
  margin-top: 24px;
}
</style>
