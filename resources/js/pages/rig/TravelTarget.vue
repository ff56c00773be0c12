<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, reactive } from 'vue'
import type { TravelRowView } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import { numberFrom } from '@/lib/numberText'
import { SIDES, type Side } from '@/lib/paste'

/** Where a channel is to end and to rest, where that is not the usual. */
export interface TravelTargetProps {
  row: TravelRowView
}
const props = defineProps<TravelTargetProps>()
const emit = defineEmits<{ aim: [target: Record<Side, number> | null] }>()

const WORDS = { lo: 'lowest', mid: 'middle', hi: 'highest' }
const typed = reactive<Record<Side, string>>({ lo: String(props.row.target.lo), mid: String(props.row.target.mid), hi: String(props.row.target.hi) })
const values = computed(() => SIDES.map((side) => numberFrom(typed[side], props.row.target[side])))
const wrong = computed(() => SIDES.filter((_, k) => values.value[k] === null))
const lacks = computed(() =>
  wrong.value.length === 0 ? '' : `${wrong.value.map((side) => WORDS[side]).join(' and ')}: expected a number in µs, like 1100`,
)

function aim(): void {
  const [lo, mid, hi] = values.value
  if (lo != null && mid != null && hi != null) emit('aim', { lo, mid, hi })
}
</script>

<template>
  <form class="aim" @submit.prevent="aim">
    <LabelledField v-for="side in SIDES" :key="side" :label="`${WORDS[side]}, µs`"
      ><input v-model="typed[side]" class="field value" inputmode="decimal" maxlength="8" :aria-invalid="wrong.includes(side)"
    /></LabelledField>
    <ActButton html-type="submit" :disabled="lacks !== ''">Aim there</ActButton>
    <ActButton @click="emit('aim', null)">As usual</ActButton>
    <span v-if="lacks" class="problem small" role="alert">{{ lacks }}</span>
  </form>
</template>

<style scoped>
.aim {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.7rem;
  align-items: end;
  padding: 0.3rem 0;
}
.aim .field {
  width: 6.5rem;
}
</style>
