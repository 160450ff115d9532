<script setup lang="ts">
import { computed, ref } from 'vue'
import { useTexts } from '../../composables/useTexts.ts'
import { onDemand } from '../../parts/onDemand.ts'
import { useBrand } from '../../stores/brand.ts'
import { asideTimes } from './asideTimes.ts'

/** When an answer is to go out. */
const { disabled, dueAt } = defineProps<{ disabled: boolean; dueAt: string | null }>()
const emit = defineEmits<{ choose: [sendAt: string] }>()
const TimeSheet = onDemand(() => import('./TimeSheet.vue'))
const { t, when } = useTexts()
const brand = useBrand()
const choosing = ref(false)
const times = computed(() => asideTimes(Date.now(), brand.zone))
const take = (at: string) => (at === 'choose' ? (choosing.value = true) : emit('choose', at))
/** What is due before it would go out. */
const late = (at: string) =>
  dueAt !== null && Date.parse(at) > Date.parse(dueAt) && Date.parse(dueAt) > Date.now()
</script>

<template>
  <el-dropdown :persistent="false" trigger="click" placement="top-start" :disabled="disabled" @command="take">
    <button type="button" class="button" :disabled="disabled">{{ t('replies.later') }}</button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="time in times" :key="time.name" :command="time.until"
          >{{ t(`replies.at.${time.name}`)
          }}<small v-if="late(time.until)" class="late">{{
            t('replies.laterDue', { t: when(dueAt!) })
          }}</small></el-dropdown-item
        >
        <el-dropdown-item command="choose" divided>{{ t('replies.at.chosen') }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
  <TimeSheet
    v-model="choosing"
    :title="t('replies.later')"
    :verb="t('replies.laterSend')"
    @choose="(at: string) => emit('choose', at)"
  />
</template>

<style scoped>
.late {
  margin-left: 10px;
  color: var(--flare-text);
}
</style>
