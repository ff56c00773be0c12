<script setup lang="ts">
import WordLine from '@/components/WordLine.vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import FailsafeHop from './FailsafeHop.vue'
import ToldFacts from './ToldFacts.vue'
import MenuLine from '@/components/MenuLine.vue'

export interface FailsafeStepProps {
  rig: RigData
  handle: RigHandle
}
defineProps<FailsafeStepProps>()
</script>

<template>
  <div>
    <h2>If the link is lost</h2>
    <WordLine :words="['failsafe', 'hop', 'hold', 'stored values']" />
    <MenuLine :words="rig.review.menus.failsafe" />
    <p v-if="rig.review.failsafe.hops.length === 0" class="muted">
      What a lost link does is known once the chain joins. <RouterLink :to="`/rigs/${rig.slug}/path`">Choose the path</RouterLink> first.
    </p>
    <template v-else>
      <p v-if="rig.review.failsafe.hops.length > 1" class="muted">
        A relay has two links to lose. The first receiver must not hold: the second radio would go on sending old commands.
      </p>
      <FailsafeHop v-for="hop in rig.review.failsafe.hops" :key="hop.hop" :hop="hop" :rig="rig" :handle="handle" />
      <p class="recovery"><b>When it comes back.</b> {{ rig.review.failsafe.recovery }}</p>
      <ToldFacts :rig="rig" :handle="handle" group="failsafe" />
    </template>
  </div>
</template>

<style scoped>
.recovery {
  margin-top: 1.2rem;
}
</style>
