<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { ref, watch } from 'vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import WordLine from '@/components/WordLine.vue'
import PathAsk from './PathAsk.vue'
import PathTold from './PathTold.vue'

export interface PathStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<PathStepProps>()

const hasChain = () => props.rig.review.boxes.length > 0
const isLooking = ref(!hasChain())
watch(
  () => props.rig.slug,
  () => (isLooking.value = !hasChain()),
)
</script>

<template>
  <div>
    <div class="head">
      <h2>Path</h2>
      <ActButton v-if="hasChain()" :aria-expanded="isLooking" @click="isLooking = !isLooking">{{
        isLooking ? 'Keep this chain' : 'Other paths'
      }}</ActButton>
    </div>
    <WordLine :words="['chain', 'coupling', 'hop', 'relay', 'family', 'variant']" />
    <PathAsk v-if="isLooking" :rig="rig" :handle="handle" @taken="isLooking = false" />
    <PathTold v-else :rig="rig" :handle="handle" />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  margin-bottom: 0.3rem;
}
</style>
