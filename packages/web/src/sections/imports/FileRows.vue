<script setup lang="ts">
/** Rows of a file, cell by cell, as they were written. */
const { ours = 0 } = defineProps<{
  head: string[]
  rows: (string | undefined)[][]
  /** So many of the first columns hold words of ours. */
  ours?: number
}>()
</script>

<template>
  <table>
    <thead>
      <tr>
        <th v-for="(name, i) in head" :key="i">{{ name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(cells, i) in rows" :key="i">
        <td v-for="(cell, k) in cells" :key="k" :class="{ words: k >= ours }">{{ cell }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
  font-size: 14px;
}
th {
  text-align: left;
  font-size: 12px;
  color: var(--ink-soft);
  padding: 2px 16px 2px 0;
}
td {
  border-top: 1px solid var(--line);
  padding: 5px 16px 5px 0;
  vertical-align: top;
  max-width: 340px;
}
</style>
