<script setup lang="ts">
import { computed } from 'vue'
import { routes } from '@murrabel/contract'
import { useAsked } from '../../composables/useAsked.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import SetUpFrame from '../../parts/SetUpFrame.vue'

/** What people asked for of their own data, who asked and who did it. */
const { t, number, when } = useTexts()
const always = computed<[string, string][]>(() => [])
const requests = useAsked(routes.dataRequests, always)
</script>

<template>
  <SetUpFrame :title="t('personalData.title')" :intro="t('personalData.intro')">
    <ProblemNote v-if="requests.problem.value" :problem="requests.problem.value" @again="requests.load" />
    <EmptyPlace
      v-else-if="requests.answer.value && !requests.answer.value.length"
      :title="t('personalData.emptyTitle')"
      :text="t('personalData.emptyText')"
    />
    <table v-else-if="requests.answer.value">
      <thead>
        <tr>
          <th>{{ t('personalData.when') }}</th>
          <th>{{ t('personalData.what') }}</th>
          <th>{{ t('personalData.askedBy') }}</th>
          <th>{{ t('personalData.by') }}</th>
          <th>{{ t('personalData.held') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in requests.answer.value" :key="each.id">
          <td>{{ when(each.at) }}</td>
          <td>
            <RouterLink :to="`/inbox/people/${each.personId}`">{{
              t(`personalData.kind.${each.kind}`, { n: each.personId })
            }}</RouterLink>
          </td>
          <td>{{ each.askedBy }}</td>
          <td>{{ each.by ?? '' }}</td>
          <td class="soft">
            {{
              t('people.data.holds', {
                entries: number(each.counts.entries),
                answers: number(each.counts.answers),
                files: number(each.counts.attachments),
                visits: number(each.counts.visits),
              })
            }}
          </td>
        </tr>
      </tbody>
    </table>
  </SetUpFrame>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-size: 12px;
  font-weight: 600;
  color: var(--ink-soft);
  padding: 4px 16px 6px 0;
}
td {
  border-top: 1px solid var(--line);
  padding: 8px 16px 8px 0;
  vertical-align: top;
  overflow-wrap: anywhere;
}
</style>
