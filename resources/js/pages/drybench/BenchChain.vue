<script setup lang="ts">
import { computed } from 'vue'
import type { DryBenchSetUp, DryBenchShown } from '@/api/rigs'
import { figure } from '@/lib/numberText'

/** The chain, large: what every box's light shows, what runs between, where a probe hangs, and links that can be cut. */
const props = defineProps<{ setUp: DryBenchSetUp; shown: DryBenchShown; lost: number[]; probes: number[] }>()
defineEmits<{ lose: [hop: number]; hang: [position: number] }>()

const LIGHTS = { linked: 'linked', searching: 'searching', off: 'dark', bind: 'in bind mode' } as const
const light = (id: string) => props.shown.lights.find((one) => one.box === id)?.shows ?? null
const nameOf = (id: string) => props.setUp.boxes.find((box) => box.id === id)?.name ?? id
/** The hop that a coupling is; null: a wire. */
const hops = computed(() => {
  let hop = 0
  return props.shown.couplings.map((coupling) => {
    const isAir = props.setUp.boxes.find((box) => box.id === coupling.to)?.kind === 'receiver'
    return isAir ? ++hop : null
  })
})
const isCut = (position: number) => props.lost.includes(hops.value[position] ?? 0)
const state = (silent: boolean | null) => (silent === true ? 'silent' : silent === null ? 'not known' : 'runs')
/** Couplings in a row with the boxes they lead to; what is plugged past a controller stands below. */
const inRow = computed(() => props.shown.couplings.slice(0, props.setUp.boxes.length - 1))
const past = computed(() => props.shown.couplings.map((one, k) => ({ ...one, carried: props.shown.carried[k] })).slice(props.setUp.boxes.length - 1))
</script>

<template>
  <div>
    <ol class="bench-chain plain-list" aria-label="The chain, from hand to craft">
      <template v-for="(box, k) in setUp.boxes" :key="box.id">
        <li class="box">
          <strong>{{ box.name }}</strong>
          <span v-if="light(box.id)" class="light" :class="light(box.id)"><i aria-hidden="true"></i>{{ LIGHTS[light(box.id) ?? 'off'] }}</span>
          <span v-else class="muted">{{ box.kind }}</span>
        </li>
        <li v-if="inRow[k]" class="joint" :class="[state(inRow[k].silent).replace(' ', '-'), { air: hops[k] !== null, cut: isCut(k) }]">
          <span class="line" aria-hidden="true"></span>
          <b>{{ shown.carried[k] }}</b>
          <span class="small muted">{{ figure(inRow[k].period_ms, 2) }} ms{{ inRow[k].inverted ? ', idles low' : '' }}</span>
          <em>{{ isCut(k) ? 'sent, not heard' : state(inRow[k].silent) }}{{ inRow[k].flags.failsafe ? ', flag up' : '' }}</em>
          <span class="acts">
            <button type="button" :aria-pressed="probes.includes(k)" @click="$emit('hang', k)">
              {{ probes.includes(k) ? 'Probe off' : 'Probe' }}
            </button>
            <button v-if="hops[k] !== null" type="button" :aria-pressed="lost.includes(hops[k] ?? 0)" @click="$emit('lose', hops[k] ?? 0)">
              {{ lost.includes(hops[k] ?? 0) ? 'Link back' : 'Cut link' }}
            </button>
          </span>
        </li>
      </template>
    </ol>
    <p v-for="one in past" :key="one.from + one.to" class="muted small">
      Past the controller: {{ nameOf(one.from) }} → {{ nameOf(one.to) }}, {{ one.carried }}, {{ state(one.silent) }}.
    </p>
  </div>
</template>

<style scoped>
.bench-chain {
  display: flex;
  align-items: stretch;
  margin: 0.6rem 0 0.4rem;
}
.box {
  flex: 1 1 130px;
  min-width: 100px;
  border: var(--stroke) solid var(--petrol-2);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.6rem 0.8rem;
  display: flex;
  flex-direction: column;
  gap: 0.2rem;
  justify-content: center;
  line-height: 1.25;
  align-self: flex-start;
  min-height: 74px;
}
.light {
  display: flex;
  align-items: center;
  gap: 0.4rem;
  font-size: 0.9rem;
}
.light i {
  width: 12px;
  height: 12px;
  border-radius: 50%;
  border: 2px solid var(--petrol-2);
}
.light.linked i {
  background: var(--petrol-2);
}
.light.searching i {
  border-color: var(--amber-line);
  border-style: dashed;
  animation: blink 0.9s steps(2, jump-none) infinite;
}
.light.searching,
.light.bind {
  color: var(--amber-text);
}
.light.off {
  color: var(--stop);
}
.light.off i {
  border-color: var(--stop);
}
.light.bind i {
  background: var(--amber-line);
  border-color: var(--amber-line);
}
@keyframes blink {
  from {
    background: var(--amber-line);
  }
  to {
    background: transparent;
  }
}
@media (prefers-reduced-motion: reduce) {
  .light.searching i {
    animation: none;
  }
}
.joint {
  flex: 1 1 140px;
  min-width: 118px;
  position: relative;
  padding: 44px 4px 0;
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  line-height: 1.25;
  font-size: 0.88rem;
}
.line {
  position: absolute;
  left: 0;
  right: 0;
  top: 36px;
  border-top: 3px solid var(--petrol-2);
}
.air .line {
  border-top-style: dotted;
}
.silent .line,
.cut .line {
  border-top-color: var(--stop);
  border-top-width: 1px;
}
.not-known .line {
  border-top-color: var(--amber-line);
  border-top-style: dashed;
}
.joint em {
  font-style: normal;
  color: var(--petrol);
}
.silent em,
.cut em {
  color: var(--stop);
  font-weight: 600;
}
.not-known em {
  color: var(--amber-text);
}
.acts {
  display: flex;
  gap: 0.3rem;
  flex-wrap: wrap;
  justify-content: center;
  margin-top: 0.25rem;
}
.acts button {
  border: 1px solid var(--petrol-2);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.1rem 0.55rem;
  min-height: 30px;
  cursor: pointer;
}
.acts button[aria-pressed='true'] {
  background: var(--petrol);
  color: var(--paper);
}
@media (max-width: 700px) {
  .bench-chain {
    flex-direction: column;
  }
  .box {
    align-self: stretch;
    min-height: 0;
    flex: none;
    flex-direction: row;
    justify-content: space-between;
    align-items: center;
  }
  .joint {
    flex: none;
    padding: 0.35rem 0 0.35rem 2.4rem;
    flex-direction: row;
    flex-wrap: wrap;
    gap: 0.2rem 0.6rem;
    text-align: left;
    align-items: center;
  }
  .line {
    left: 18px;
    right: auto;
    top: 0;
    bottom: 0;
    border-top: 0;
    border-left: 3px solid var(--petrol-2);
  }
  .air .line {
    border-left-style: dotted;
  }
  .silent .line,
  .cut .line {
    border-left: 1px solid var(--stop);
  }
  .acts button {
    min-height: 44px;
    padding: 0.1rem 0.9rem;
  }
}
</style>
