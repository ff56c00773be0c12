<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, ref } from 'vue'
import type { DryBenchShown } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import MiniRuler from '@/components/MiniRuler.vue'
import { levelPath, placed, timeWords } from '@/lib/scale'

/** A probe on one coupling: its values, the bytes of a frame, or the wire itself. */
const props = defineProps<{ shown: DryBenchShown; position: number }>()
defineEmits<{ take: [] }>()

const look = ref<'values' | 'bytes' | 'wave'>('values')
const coupling = computed(() => props.shown.couplings[props.position])
const wave = computed(() => props.shown.waves.find((one) => one.coupling === props.position))
const looks = computed(() => [
  { key: 'values' as const, title: 'Values', can: true },
  { key: 'bytes' as const, title: 'Bytes', can: coupling.value?.hex != null },
  { key: 'wave' as const, title: 'Wave', can: wave.value !== undefined },
])
const now = computed(() => (looks.value.find((one) => one.key === look.value)?.can ? look.value : 'values'))
const bytes = computed(() => (coupling.value?.hex ?? '').match(/../g) ?? [])
const WIDTH = 360
const x = computed(() => placed({ from: 0, to: wave.value?.lasts_us ?? 1 }, { from: 4, to: WIDTH - 4 }, true))
const path = computed(() => (wave.value ? levelPath(wave.value.times_us, wave.value.idle === 1 ? 1 : 0, x.value, WIDTH - 4, 12, 52) : ''))
</script>

<template>
  <article v-if="coupling" class="probe" :aria-label="`Probe: ${shown.names[position]}`">
    <header>
      <b>{{ shown.names[position] }}</b>
      <span class="muted small">{{ shown.carried[position] }}, µs{{ coupling.raw ? ' and counts' : '' }}</span>
      <span role="group" aria-label="Look at" class="looks">
        <button v-for="one in looks" :key="one.key" type="button" :disabled="!one.can" :aria-pressed="now === one.key" @click="look = one.key">
          {{ one.title }}
        </button>
      </span>
      <ActButton kind="link" class="small" :aria-label="`Take the probe off ${shown.names[position]}`" @click="$emit('take')">off</ActButton>
    </header>
    <p v-if="coupling.us === null" class="silent">Silent: nothing runs here.</p>
    <ol v-else-if="now === 'values'" class="values plain-list">
      <li v-for="(us, k) in coupling.us" :key="k">
        <span class="n">{{ k + 1 }}</span>
        <MiniRuler :us="us" />
        <span class="value">{{ us === null ? 'none' : figure(us, 1) }}</span>
        <span v-if="coupling.raw" class="value raw">{{ coupling.raw[k] }}</span>
      </li>
    </ol>
    <p v-else-if="now === 'bytes'" class="bytes value">
      <span v-for="(byte, k) in bytes" :key="k">{{ byte }}</span>
    </p>
    <div v-else>
      <svg :viewBox="`0 0 ${WIDTH} 62`" class="wave" role="img" :aria-label="`The wire over ${timeWords(wave?.lasts_us ?? 0)}`">
        <path :d="path" />
      </svg>
      <p class="muted small">{{ wave?.is_whole ? 'One frame' : 'Its first bytes' }}, {{ timeWords(wave?.lasts_us ?? 0) }}.</p>
    </div>
    <p v-if="coupling.flags.failsafe" class="silent">Failsafe flag is up.</p>
  </article>
</template>

<style scoped>
.probe {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.6rem 0.8rem;
  min-width: 0;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.6rem;
  align-items: center;
  margin-bottom: 0.4rem;
}
.looks {
  margin-left: auto;
  display: flex;
}
.looks button {
  border: 1px solid var(--line);
  background: var(--card);
  padding: 0.05rem 0.55rem;
  min-height: 30px;
  cursor: pointer;
  margin-left: -1px;
}
.looks button[aria-pressed='true'] {
  background: var(--petrol);
  color: var(--paper);
}
.looks button:disabled {
  color: var(--muted);
  cursor: default;
}
.values {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(176px, 1fr));
  gap: 0.1rem 1rem;
}
.values li {
  display: grid;
  grid-template-columns: 1.3rem 1fr 4.2rem auto;
  gap: 0.4rem;
  align-items: center;
}
.n {
  color: var(--muted);
  font-size: 0.85rem;
}
.value {
  text-align: right;
}
.raw {
  color: var(--muted);
}
.bytes {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.5rem;
  text-align: left;
}
.wave path {
  fill: none;
  stroke: var(--petrol-2);
  stroke-width: 1.5;
}
.silent {
  color: var(--stop);
}
@media (max-width: 700px) {
  .looks button {
    min-height: 44px;
  }
}
</style>
