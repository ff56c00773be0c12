<script setup lang="ts">
import { computed } from 'vue'
import type { DryBenchShown } from '@/api/rigs'
import { placed } from '@/lib/scale'

/** The craft from above, its surfaces and its motor as the values move them. Which way a linkage turns is not known: right is drawn for more. */
const props = defineProps<{ shown: DryBenchShown; kind: string }>()

const share = (name: string) => props.shown.craft.find((one) => one.function === name)?.pct ?? null
const PERCENT = { from: -100, to: 100 }
const tilt = placed(PERCENT, { from: -26, to: 26 }, true)
const depth = placed(PERCENT, { from: 3, to: 17 }, true)
const power = placed(PERCENT, { from: 0, to: 1 }, true)
const turn = placed({ from: 0, to: 1 }, { from: 0, to: 2 * Math.PI }, true)

const has = (name: string) => props.shown.craft.some((one) => one.function === name)
const at = (name: string) => share(name) ?? 0
const isDead = (name: string) => has(name) && share(name) === null
const ground = computed(() => ['boat', 'car'].includes(props.kind))
const rotors = computed(() => ['multirotor', 'helicopter'].includes(props.kind))

/** A part of a circle, from the top on. */
function arc(part: number, cx: number, cy: number, r: number): string {
  if (part <= 0) return ''
  if (part >= 1) return `M${cx} ${cy - r}a${r} ${r} 0 1 1 -0.01 0Z`
  const angle = turn(part)
  return `M${cx} ${cy}V${cy - r}A${r} ${r} 0 ${part > 0.5 ? 1 : 0} 1 ${cx + r * Math.sin(angle)} ${cy - r * Math.cos(angle)}Z`
}

const label = computed(() =>
  props.shown.craft.map((one) => `${one.function} ${one.pct === null ? 'gets nothing' : `${Math.round(one.pct)} %`}`).join(', '),
)
</script>

<template>
  <svg viewBox="0 0 240 170" class="craft" role="img" :aria-label="`The craft: ${label}`">
    <g v-if="ground">
      <path class="hull" d="M70 85c0-28 20-44 50-44h60l24 44-24 44h-60c-30 0-50-16-50-44Z" />
      <g :transform="`rotate(${tilt(at('rudder') || at('steering'))} 70 85)`">
        <path class="surface" :class="{ dead: isDead('rudder') }" d="M70 85H34" />
      </g>
      <circle class="disc" cx="140" cy="85" r="22" />
      <path class="power" :class="{ dead: isDead('throttle') }" :d="arc(power(share('throttle') ?? -100), 140, 85, 22)" />
    </g>
    <g v-else-if="rotors">
      <path class="hull" d="M70 40 170 130M170 40 70 130" />
      <g
        v-for="(place, k) in [
          [70, 40],
          [170, 40],
          [70, 130],
          [170, 130],
        ]"
        :key="k"
      >
        <circle class="disc" :cx="place[0]" :cy="place[1]" r="24" />
        <path class="power" :d="arc(power(share('throttle') ?? -100), place[0] ?? 0, place[1] ?? 0, 24)" />
      </g>
      <path
        class="lean"
        :d="`M120 85L${placed(PERCENT, { from: 90, to: 150 }, true)(at('aileron'))} ${placed(PERCENT, { from: 115, to: 55 }, true)(at('elevator'))}`"
      />
      <circle
        class="nose"
        :cx="placed(PERCENT, { from: 90, to: 150 }, true)(at('aileron'))"
        :cy="placed(PERCENT, { from: 115, to: 55 }, true)(at('elevator'))"
        r="6"
      />
      <g :transform="`rotate(${tilt(at('rudder'))} 120 85)`"><path class="surface" d="M120 85V58" /></g>
    </g>
    <g v-else>
      <path class="hull" d="M120 18c8 0 11 8 11 20v92c0 8-4 14-11 14s-11-6-11-14V38c0-12 3-20 11-20Z" />
      <path class="hull" d="M14 56h92v22H14ZM134 56h92v22h-92Z" />
      <path v-if="has('aileron')" class="surface-area" :class="{ dead: isDead('aileron') }" :d="`M18 78h52v${depth(-at('aileron'))}h-52Z`" />
      <path v-if="has('aileron')" class="surface-area" :class="{ dead: isDead('aileron') }" :d="`M170 78h52v${depth(at('aileron'))}h-52Z`" />
      <path
        v-if="has('flap')"
        class="surface-area"
        :class="{ dead: isDead('flap') }"
        :d="`M74 78h30v${depth(at('flap'))}h-30ZM136 78h30v${depth(at('flap'))}h-30Z`"
      />
      <path class="hull" d="M84 128h72v10H84Z" />
      <path v-if="has('elevator')" class="surface-area" :class="{ dead: isDead('elevator') }" :d="`M84 138h72v${depth(-at('elevator'))}h-72Z`" />
      <g v-if="has('rudder')" :transform="`rotate(${tilt(-at('rudder'))} 120 144)`">
        <path class="surface" :class="{ dead: isDead('rudder') }" d="M120 144v22" />
      </g>
      <g v-if="has('throttle')">
        <circle class="disc" cx="120" cy="18" r="15" />
        <path class="power" :class="{ dead: isDead('throttle') }" :d="arc(power(share('throttle') ?? -100), 120, 18, 15)" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.craft {
  display: block;
  width: 100%;
  max-width: 300px;
}
.hull {
  fill: var(--card);
  stroke: var(--petrol-2);
  stroke-width: 1.5;
}
.surface {
  stroke: var(--amber-line);
  stroke-width: 6;
  stroke-linecap: round;
}
.surface-area {
  fill: var(--amber-fill);
  stroke: var(--amber-line);
}
.dead {
  stroke: var(--stop);
  stroke-dasharray: 3 3;
  fill: none;
}
.disc {
  fill: var(--card);
  stroke: var(--petrol-2);
}
.power {
  fill: var(--petrol-2);
}
.lean {
  stroke: var(--amber-line);
  stroke-width: 4;
}
.nose {
  fill: var(--amber-line);
}
</style>
