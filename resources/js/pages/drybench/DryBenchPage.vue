<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { rigsQuery } from '@/api/rigs'
import { sentenceOf } from '@/api/http'
import DryBenchOf from './DryBenchOf.vue'

/** A rig, simulated from the hands to the craft: which one is in the address. */
const route = useRoute()
const router = useRouter()
const rigs = useQuery(rigsQuery)
const slug = computed(() => (typeof route.query.rig === 'string' ? route.query.rig : (rigs.data.value?.rigs[0]?.slug ?? null)))
const choose = (event: Event) => router.replace({ query: { rig: (event.target as HTMLSelectElement).value } })
</script>

<template>
  <main id="main" class="page">
    <div class="page-top">
      <div>
        <h1>Dry bench</h1>
        <p class="muted">
          The whole chain, simulated: move the sticks and see what should be seen anywhere. Nothing real moves.
          <RouterLink to="/practice">Practise on hidden faults</RouterLink>
        </p>
      </div>
      <label class="which small">
        Rig
        <select class="field" :value="slug ?? ''" @change="choose">
          <option v-for="one in rigs.data.value?.rigs ?? []" :key="one.slug" :value="one.slug">{{ one.name }}</option>
        </select>
      </label>
    </div>
    <p v-if="rigs.error.value" class="band stop" role="alert">{{ sentenceOf(rigs.error.value) }}</p>
    <p v-else-if="rigs.data.value && slug === null" class="band">
      There is no rig on the bench to be run. <RouterLink to="/">Make one</RouterLink>, then come back.
    </p>
    <DryBenchOf v-else-if="slug !== null" :key="slug" :slug="slug" />
  </main>
</template>

<style scoped>
.which {
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
</style>
