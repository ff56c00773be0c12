<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'

/** From a finding or a failed test to the search for its cause, with what is known already. */
const props = defineProps<{ finding?: string; seen?: string }>()
// Beside a page, in a test of a part alone, there is no address.
const route = useRoute() as ReturnType<typeof useRoute> | undefined
const query = computed(() => ({
  ...(typeof route?.params.slug === 'string' ? { rig: route.params.slug } : {}),
  ...(props.finding === undefined ? {} : { finding: props.finding }),
  ...(props.seen === undefined ? {} : { seen: props.seen }),
}))
</script>

<template>
  <RouterLink v-if="route" class="fault-link small" :to="{ path: '/fault', query }">find the fault</RouterLink>
</template>

<style scoped>
.fault-link {
  white-space: nowrap;
  margin-left: 0.6em;
}
</style>
