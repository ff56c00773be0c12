<script setup lang="ts">
import WordLine from '@/components/WordLine.vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import BindHop from './BindHop.vue'
import ToldFacts from './ToldFacts.vue'
import MenuLine from '@/components/MenuLine.vue'

export interface BindStepProps {
  rig: RigData
  handle: RigHandle
}
defineProps<BindStepProps>()
</script>

<template>
  <div>
    <h2>Bind</h2>
    <WordLine :words="['bind', 'family', 'variant', 'receiver number']" />
    <MenuLine :words="rig.review.menus.binding" />
    <p v-if="rig.review.bind.length === 0" class="muted">
      How to bind is known once the chain joins. <RouterLink :to="`/rigs/${rig.slug}/path`">Choose the path</RouterLink> first.
    </p>
    <BindHop v-for="hop in rig.review.bind" :key="hop.hop" :hop="hop" :several="rig.review.bind.length > 1" :slug="rig.slug" :handle="handle" />
    <ToldFacts v-if="rig.review.bind.length > 0" :rig="rig" :handle="handle" group="bind" />
  </div>
</template>
