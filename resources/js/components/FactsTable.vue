<script setup lang="ts">
export interface FactsTableProps {
  facts: { what: string; from: string; to: string }[]
  /** Who gives and who takes; without them the table stands below a drawing that says it. */
  ends?: { from: string; to: string }
}
defineProps<FactsTableProps>()
</script>

<template>
  <table>
    <thead v-if="ends">
      <tr>
        <th scope="col">What must match</th>
        <th scope="col">{{ ends.from }} gives</th>
        <th scope="col">{{ ends.to }} takes</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="fact in facts" :key="fact.what">
        <td class="muted">{{ fact.what }}</td>
        <td class="value">{{ fact.from }}</td>
        <td class="value">{{ fact.to }}</td>
      </tr>
    </tbody>
  </table>
</template>
