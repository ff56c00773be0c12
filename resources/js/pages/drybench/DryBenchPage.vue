<script setup lang="ts">
import PickField from '@/components/form/PickField.vue'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf } from '@/api/http'
import { useRunnable } from '@/composables/useRunnable'
import DryBenchOf from './DryBenchOf.vue'

/** A rig, simulated from the hands to the craft: which one is in the address. Samples can be run where there is none yet. */
const route = useRoute()
const router = useRouter()
const { choices, all, isKnown, error } = useRunnable()
const slug = computed(() => (typeof route.query.rig === 'string' ? route.query.rig : isKnown.value ? (all.value[0]?.slug ?? null) : null))
const choose = (rig: string) => router.replace({ query: { rig } })
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
        <span class="line-whole">Rig</span>
        <PickField :model-value="slug ?? ''" :options="choices" @update:model-value="choose" />
      </label>
    </div>
    <p v-if="error" class="band stop" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="isKnown && slug === null" class="band">
      There is no rig on the bench to be run. <RouterLink to="/">Make one</RouterLink>, then come back.
    </p>
    <DryBenchOf v-else-if="slug !== null" :key="slug" :slug="slug" />
  </main>
</template>

<style scoped>
.which {
  min-width: 0;
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
</style>
