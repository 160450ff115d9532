import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useLocalStorage } from '@vueuse/core'

export const densities = ['compact', 'usual', 'roomy'] as const
export type Density = (typeof densities)[number]

/** Pixels of a row of the inbox: one, two or four lines of their words. */
export const rowHeights: Record<Density, number> = { compact: 57, usual: 75, roomy: 111 }

/** How much a row shows, as this browser keeps it. */
export const useDensity = defineStore('density', () => {
  const kept = useLocalStorage<string>('murrabel.rows', 'usual')
  const rows = computed<Density>(() => densities.find((each) => each === kept.value) ?? 'usual')
  return { rows, choose: (density: Density) => void (kept.value = density) }
})
