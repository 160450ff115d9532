<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { routes, type CalendarAddress } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'

/** The secret address under which a calendar program finds what is open of mine. */
const { t } = useTexts()
const attempt = useAttempt()
const address = ref<string | null>(null)
/** What was asked last counts: the first look may be answered after an address was made. */
let asked = 0
const take = (ask: () => Promise<CalendarAddress>) =>
  attempt(async () => {
    const mine = ++asked
    const answer = await ask()
    if (mine === asked) address.value = answer.address
  })
const look = () => take(() => call(routes.calendar))
const make = () => take(() => call(routes.makeCalendar))
const off = () => take(() => call(routes.calendarOff))
onMounted(look)
</script>

<template>
  <section class="calendar">
    <h3>{{ t('followUps.calendar.title') }}</h3>
    <p class="soft">{{ t('followUps.calendar.text') }}</p>
    <el-input v-if="address" :model-value="address" readonly :aria-label="t('followUps.calendar.address')" />
    <div class="acts">
      <button type="button" class="button" @click="make">
        {{ address ? t('followUps.calendar.again') : t('followUps.calendar.make') }}
      </button>
      <button v-if="address" type="button" class="button" @click="off">
        {{ t('followUps.calendar.off') }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.calendar {
  padding: 14px 22px;
}
h3 {
  font-size: 15px;
  font-weight: 600;
}
p {
  margin: 4px 0 10px;
}
.acts {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}
</style>
