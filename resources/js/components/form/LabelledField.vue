<script setup lang="ts">
import { provideLabel } from '@/composables/useTyped'

/** A field with its label above it; `isGrowing`: it takes the room that is left. */
export interface LabelledFieldProps {
  label: string
  isGrowing?: boolean
}
const props = defineProps<LabelledFieldProps>()
provideLabel(() => props.label)
</script>

<template>
  <label class="labelled" :class="{ grow: isGrowing }"
    ><span v-if="label !== ''">{{ label }}</span> <slot
  /></label>
</template>

<style scoped>
.labelled {
  display: flex;
  flex-direction: column;
  min-width: 0;
  gap: 0.15rem;
  font-size: 0.9rem;
}
.grow {
  flex: 1 1 14rem;
}
.labelled :deep(.field) {
  max-width: 100%;
}
</style>
