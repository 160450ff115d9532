<script setup lang="ts">
/** The figures of a chart as a table: a name, then cells; the first column opens the row's entries. */
defineProps<{ head: string[]; rows: { key: string | number | null; cells: (string | number)[] }[] }>()
const emit = defineEmits<{ open: [key: string | number | null] }>()
</script>

<template>
  <table>
    <thead>
      <tr>
        <th v-for="name in head" :key="name">{{ name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="String(row.key)">
        <th>
          <button type="button" class="plain" @click="emit('open', row.key)">{{ row.cells[0] }}</button>
        </th>
        <td v-for="(cell, i) in row.cells.slice(1)" :key="i">{{ cell }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
th,
td {
  text-align: right;
  padding: 2px 8px;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  color: var(--ink-soft);
}
th:first-child {
  text-align: left;
}
</style>
