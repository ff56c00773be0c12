<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { RangeAnswer } from '@/api/generated/range.out'
import { postJson } from '@/api/http'
import type { RigData } from '@/api/rigs'
import { figure } from '@/lib/numberText'

export interface RangeMeaningProps {
  rig: RigData
}
const props = defineProps<RangeMeaningProps>()

/** Thirty paces, and what low power or a range-check mode usually takes off. */
const CHECK = { distance_m: 27, reduced_by_db: 30 }
const f = computed(() => props.rig.review.wiring.antennas.find((antenna) => antenna.f_mhz !== null)?.f_mhz ?? null)
const range = useQuery({
  queryKey: computed(() => ['range-check', f.value] as const),
  // Power and sensitivity do not enter into what a check stands for.
  queryFn: () => postJson<RangeAnswer>('/range', { f_mhz: f.value, power_dbm: 0, sensitivity_dbm: -100, check: CHECK }),
  enabled: computed(() => f.value !== null),
})
const metres = computed(() => range.data.value?.check_stands_for_m ?? null)
</script>

<template>
  <p v-if="metres !== null" class="small">
    Thirty paces ({{ CHECK.distance_m }} m) at {{ CHECK.reduced_by_db }} dB less stand for <b class="value">{{ figure(metres, 0) }} m</b> at full
    power in free space, 10 dB kept for body and orientation.
    <RouterLink to="/tools/range">Other numbers</RouterLink>
  </p>
</template>
