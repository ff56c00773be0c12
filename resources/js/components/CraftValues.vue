<script setup lang="ts">
import type { DryBenchShown } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import MiniRuler from './MiniRuler.vue'

/** What every function of the craft gets, on a ruler, beside what it would get if all were well. */
const props = defineProps<{ shown: DryBenchShown }>()
const planned = (name: string) => props.shown.planned?.find((one) => one.function === name)?.us ?? null
const differs = (name: string, us: number | null) => props.shown.planned !== null && planned(name) !== us
const words = (name: string) => name.replaceAll('_', ' ')
</script>

<template>
  <table class="craft-values">
    <thead>
      <tr>
        <th scope="col">Function</th>
        <th scope="col">Channel</th>
        <th scope="col"><span class="sr-only">Drawn</span></th>
        <th scope="col" class="right">µs</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="one in shown.craft" :key="one.function" :class="{ differs: differs(one.function, one.us) }">
        <th scope="row">{{ words(one.function) }}</th>
        <td class="value">{{ one.channel ?? '?' }}</td>
        <td class="drawn">
          <MiniRuler :us="one.us" :should="planned(one.function)" />
        </td>
        <td class="value right">
          {{ one.us === null ? 'nothing' : figure(one.us, 1) }}
          <span v-if="differs(one.function, one.us)" class="muted small"
            >of {{ planned(one.function) === null ? 'nothing' : figure(planned(one.function) ?? 0, 1) }}</span
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.craft-values th[scope='row'] {
  font-weight: 500;
  font-size: 0.95rem;
  color: var(--ink);
}
.craft-values th[scope='row']:first-letter {
  text-transform: uppercase;
}
.craft-values :is(th, td) {
  padding: 0.2rem 0.5rem 0.2rem 0;
  vertical-align: middle;
}
.drawn {
  width: 40%;
}
.differs .value.right {
  color: var(--amber-text);
}
.right {
  white-space: nowrap;
  text-align: right;
  padding-right: 0;
}
</style>
