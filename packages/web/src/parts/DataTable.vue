<script setup lang="ts">
/** The figures of a chart as a table: a name, then cells; the first column opens the row's entries. */
defineProps<{ head: string[]; rows: { key: string | number | null; cells: (string | number)[] }[] }>()
const emit = defineEmits<{ open: [key: string | number | null] }>()
</script>

<template>
  <table class="figures">
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
