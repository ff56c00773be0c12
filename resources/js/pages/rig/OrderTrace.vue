<script setup lang="ts">
import { computed } from 'vue'
import type { OrderView } from '@/api/rigs'
import { NAME_OF } from '@/lib/letters'

export interface OrderTraceProps {
  order: OrderView
}
const props = defineProps<OrderTraceProps>()

const ROW = 54
const rows = computed(() => props.order.trace ?? [])
const arrivals = computed(() =>
  [1, 2, 3, 4].map((channel) => {
    const row = rows.value.find((entry) => entry.arrives_on === channel)
    const letter = props.order.reader?.order[channel - 1] as keyof typeof NAME_OF
    return { channel, from: row?.letter ?? 'A', letter, right: row?.letter === letter || props.order.by_plugs }
  }),
)
const isPins = computed(() => props.order.reader?.kind === 'pins')
const remapping = computed(() => props.order.modules.filter((module) => module.on && module.expects !== module.sends))
const y = (channel: number) => (channel - 0.5) * ROW
const isRight = (channel: number) => arrivals.value[channel - 1]?.right ?? false
</script>

<template>
  <div class="trace">
    <p class="sr-only">
      <template v-for="row in rows" :key="row.letter"
        >The {{ NAME_OF[row.letter] }} stick leaves on channel {{ row.handset_channel }}, arrives on {{ row.arrives_on }} and is read as
        {{ NAME_OF[row.read_as] }}.
      </template>
    </p>
    <div class="heads small muted" aria-hidden="true">
      <span>{{ order.handset.name }} sends</span>
      <span class="mid whole">{{
        remapping.map((module) => `${module.name}: ${module.expects} to ${module.sends}`).join(', ') || 'straight through'
      }}</span>
      <span>{{ order.reader?.name }} {{ isPins ? 'puts out' : 'reads' }}</span>
    </div>
    <div class="lanes" aria-hidden="true" :style="{ height: `${ROW * 4}px` }">
      <ol class="plain-list side">
        <li v-for="row in rows" :key="row.letter">
          <b class="value">{{ row.letter }}</b><span>{{ NAME_OF[row.letter] }} stick</span><span class="value ch">ch {{ row.handset_channel }}</span>
        </li>
      </ol>
      <svg :viewBox="`0 0 100 ${ROW * 4}`" preserveAspectRatio="none" focusable="false">
        <path
          v-for="row in rows"
          :key="row.letter"
          :class="{ wrong: !isRight(row.arrives_on) }"
          :d="`M0 ${y(row.handset_channel)} C 45 ${y(row.handset_channel)}, 55 ${y(row.arrives_on)}, 100 ${y(row.arrives_on)}`"
        />
      </svg>
      <ol class="plain-list side">
        <li v-for="arrival in arrivals" :key="arrival.channel" :class="{ wrong: !arrival.right }">
          <span class="value ch">{{ isPins ? 'pin' : 'ch' }} {{ arrival.channel }}</span>
          <template v-if="order.reader?.unlabelled"
            ><b class="value">{{ arrival.from }}</b
            ><span>{{ NAME_OF[arrival.from] }} plug</span></template
          >
          <template v-else-if="order.by_plugs"
            ><b class="value">{{ arrival.from }}</b
            ><span>{{ NAME_OF[arrival.from] }} plug, pin marked {{ arrival.letter }}</span></template
          >
          <template v-else-if="arrival.right"
            ><b class="value">{{ arrival.letter }}</b
            ><span>{{ isPins ? `marked ${arrival.letter}` : NAME_OF[arrival.letter] }}</span></template
          >
          <template v-else
            ><b class="value">{{ arrival.letter }}</b
            ><span>{{
              isPins
                ? `marked ${arrival.letter}, gets ${NAME_OF[arrival.from]}`
                : `${NAME_OF[arrival.letter]} gets the ${NAME_OF[arrival.from]} stick`
            }}</span></template
          >
        </li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.trace {
  margin: 0.8rem 0;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 0.6rem 0.9rem 0.8rem;
}
.heads,
.lanes {
  display: grid;
  grid-template-columns: minmax(0, 11rem) minmax(60px, 1fr) minmax(0, 22rem);
}
.mid {
  text-align: center;
}
.side li {
  height: 54px;
  display: flex;
  align-items: center;
  gap: 0.6rem;
  line-height: 1.2;
}
.side b {
  font-size: 1.25rem;
}
.ch {
  color: var(--muted);
  white-space: nowrap;
}
.side:first-child .ch {
  margin-left: auto;
  padding-right: 0.5rem;
}
.side:last-child .ch {
  padding-left: 0.5rem;
}
svg {
  width: 100%;
  height: 100%;
}
path {
  fill: none;
  stroke: var(--petrol-2);
  stroke-width: 1.75;
  vector-effect: non-scaling-stroke;
}
path.wrong {
  stroke: var(--amber-line);
  stroke-dasharray: 6 4;
}
li.wrong {
  color: var(--amber-text);
}
@media (max-width: 700px) {
  .heads,
  .lanes {
    grid-template-columns: minmax(0, 5.6rem) minmax(30px, 1fr) minmax(0, 10.5rem);
  }
  .heads {
    grid-template-columns: minmax(0, 1fr) minmax(4.5rem, auto) minmax(0, 1fr);
  }
  .side:first-child span:not(.ch) {
    display: none;
  }
  .side li {
    font-size: 0.88rem;
    gap: 0.4rem;
  }
}
</style>
