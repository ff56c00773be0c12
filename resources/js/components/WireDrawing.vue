<script setup lang="ts">
import type { WireRow, WireView } from '@/api/rigs'
import { wireColour } from '@/lib/wireColour'

export interface WireDrawingProps {
  wire: WireView
}
const props = defineProps<WireDrawingProps>()

const CORES = ['signal', 'plus', 'ground'] as const
type Core = (typeof CORES)[number]
const WIDTH = 104
const PITCH = 13
const PLUG = 15

/** Pins in their order; not known: signal, plus, ground, and the plug drawn open. */
const left = () => props.wire.from_plug ?? [...CORES]
const right = () => props.wire.to_plug ?? [...CORES]
const rows = () => Math.max(left().length, right().length)
const height = () => rows() * PITCH + 5
const at = (place: number) => 3 + (place + 0.5) * PITCH

/** The way of one core from its pin to the pin of the same name; none where a plug has no such pin. */
function way(core: Core): string | null {
  const a = left().indexOf(core)
  const b = right().indexOf(core)
  if (a < 0 || b < 0) return null
  const middle = WIDTH / 2
  return `M ${PLUG} ${at(a)} C ${middle} ${at(a)}, ${middle} ${at(b)}, ${WIDTH - PLUG} ${at(b)}`
}

const paint = (row: WireRow, core: Core) => wireColour(row.colours[core] ?? '')
const told = (row: WireRow) => CORES.filter((core) => row.colours[core]).map((core) => `${core} ${row.colours[core]}`)
const letters: Record<string, string> = { signal: 'S', plus: '+', ground: '–', data: 'D', free: '' }

function order(): string {
  if (props.wire.from_plug === null && props.wire.to_plug === null) return 'Order of the pins in the plug: not known, look at both cases.'
  const say = (pins: string[] | null) => (pins === null ? 'not known' : pins.join(', '))
  return `Pins from the key or the edge of the case: ${say(props.wire.from_plug)} at ${props.wire.from_name}; ${say(props.wire.to_plug)} at ${props.wire.to_name}.`
}
</script>

<template>
  <figure class="drawing">
    <figcaption class="small muted">{{ order() }}</figcaption>
    <p v-if="wire.caution" class="caution"><b>Look:</b> {{ wire.caution }}</p>
    <ul>
      <li v-for="row in wire.rows" :key="row.key">
        <span class="pin">{{ row.from_pin }}</span>
        <svg :viewBox="`0 0 ${WIDTH} ${height()}`" :width="WIDTH" :height="height()" aria-hidden="true">
          <template v-for="core in CORES" :key="core">
            <path v-if="way(core) && paint(row, core)" class="casing" :d="way(core) ?? ''" />
            <path
              v-if="way(core)"
              class="core"
              :class="{ unsaid: !paint(row, core) }"
              :d="way(core) ?? ''"
              :style="{ stroke: paint(row, core) ?? undefined }"
            />
          </template>
          <rect class="plug" :class="{ open: !wire.from_plug }" x="0.7" y="2" :width="PLUG" :height="left().length * PITCH + 2" rx="2" />
          <rect
            class="plug"
            :class="{ open: !wire.to_plug }"
            :x="WIDTH - PLUG - 0.7"
            y="2"
            :width="PLUG"
            :height="right().length * PITCH + 2"
            rx="2"
          />
          <text v-for="(pin, k) in left()" :key="`a${k}`" :x="PLUG / 2 + 0.7" :y="at(k) + 4">{{ letters[pin] }}</text>
          <text v-for="(pin, k) in right()" :key="`b${k}`" :x="WIDTH - PLUG / 2 - 0.7" :y="at(k) + 4">{{ letters[pin] }}</text>
        </svg>
        <span
          >{{ row.to_pin }}<template v-if="row.note">, {{ row.note }}</template
          ><span v-if="told(row).length > 0" class="told">{{ told(row).join(', ') }}</span></span
        >
      </li>
    </ul>
  </figure>
</template>

<style scoped>
.drawing {
  margin: 0.2rem 0 0.4rem;
}
ul {
  list-style: none;
  margin: 0.2rem 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(3rem, 1fr) auto minmax(3rem, 1.35fr);
  gap: 0.5rem;
  align-items: center;
  font-size: 0.9rem;
  line-height: 1.25;
  padding: 0.1rem 0;
  break-inside: avoid;
}
.pin {
  text-align: right;
}
.told {
  display: block;
  color: var(--muted);
  font-size: 0.82rem;
}
.caution {
  color: var(--stop);
  background: var(--stop-fill);
  padding: 0.3rem 0.5rem;
  margin: 0.3rem 0;
}
svg {
  display: block;
}
@media print {
  svg {
    width: 78px;
    height: auto;
  }
}
.casing {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4.4;
}
.core {
  fill: none;
  stroke-width: 3;
}
.unsaid {
  stroke: var(--muted);
  stroke-width: 1.2;
}
.plug {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.plug.open {
  stroke-dasharray: 2.5 2;
}
text {
  font-size: 12px;
  font-weight: 700;
  text-anchor: middle;
  fill: var(--ink);
}
@media print {
  svg {
    print-color-adjust: exact;
  }
}
</style>
