<script setup lang="ts">
export interface MenuLineProps {
  /** Where the boxes' own menus have it; null: no card says, and nothing is shown. */
  words: string | null
}
defineProps<MenuLineProps>()
</script>

<template>
  <p v-if="words !== null" class="menus small"><b>In the menus:</b> {{ words }}</p>
</template>

<style scoped>
.menus {
  border-left: 3px solid var(--petrol);
  padding-left: 0.6rem;
  margin: 0.5rem 0;
}
</style>
