<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed } from 'vue'
import type { DryBenchSetUp } from '@/api/rigs'
import type { DryBench, Letter } from '@/composables/useDryBench'
import FollowController from './FollowController.vue'
import GimbalPad from './GimbalPad.vue'

/** What the hands hold: two sticks, switches and knobs of this handset. */
const props = defineProps<{ setUp: DryBenchSetUp; bench: DryBench }>()
const { hands } = props.bench

const names = computed(() => Object.fromEntries(props.setUp.sticks.map((stick) => [stick.letter, stick.function])))
const gimbals = computed(() => props.setUp.gimbals as [Letter, Letter, Letter, Letter])
const sides = computed(() => [
  { side: 'Left', across: gimbals.value[0], up: gimbals.value[1] },
  { side: 'Right', across: gimbals.value[2], up: gimbals.value[3] },
])
const position = (id: string) => hands.value.switches[id] ?? 1
const turned = (id: string) => hands.value.knobs[id] ?? 0
const told = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <section aria-labelledby="hands">
    <div class="head">
      <h2 id="hands">Hands</h2>
      <span class="muted small">stick mode {{ setUp.stick_mode }}{{ setUp.stick_mode_known ? '' : ', not said: the usual one' }}</span>
      <ActButton kind="link" class="small" @click="bench.startAgain()">all at rest</ActButton>
    </div>
    <div class="gimbals">
      <GimbalPad v-for="one in sides" :key="one.side" v-bind="one" :names="names" :sticks="hands.sticks" @move="bench.moveStick" />
    </div>
    <FollowController :bench="bench" :names="names" />
    <div v-if="setUp.switches.length > 0" class="switches">
      <div v-for="one in setUp.switches" :key="one.id" class="switch" :class="{ idle: one.carries.length === 0 }">
        <span class="name"
          ><b>{{ one.id }}</b> {{ one.carries.join(', ') || 'free' }}</span
        >
        <div v-if="one.positions !== null" role="radiogroup" :aria-label="`${one.id}: ${one.carries.join(', ') || 'free'}`" class="positions">
          <label v-for="k in one.positions" :key="k" :class="{ on: position(one.id) === k }">
            <input
              class="unseen"
              type="radio"
              :name="`switch-${one.id}`"
              :value="k"
              :checked="position(one.id) === k"
              @change="bench.setSwitch(one.id, k)"
            />{{ k }}
          </label>
        </div>
        <input
          v-else
          type="range"
          min="-100"
          max="100"
          step="1"
          :aria-label="`${one.id}: ${one.carries.join(', ') || 'free'}, %`"
          :value="turned(one.id)"
          @input="bench.turnKnob(one.id, told($event))"
        />
      </div>
    </div>
    <p v-else class="muted small">The handset’s card names no switch; <RouterLink to="/shelf">say which it has</RouterLink>.</p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  gap: 0.8rem;
  align-items: baseline;
  flex-wrap: wrap;
  margin-bottom: 0.5rem;
}
.gimbals {
  display: flex;
  gap: 1rem;
  flex-wrap: wrap;
}
.switches {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 0.35rem 1rem;
  margin-top: 0.8rem;
  max-width: 360px;
}
.switch {
  font-size: 0.88rem;
}
.switch.idle .name {
  color: var(--muted);
}
.positions {
  display: flex;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  overflow: hidden;
}
.positions label {
  flex: 1;
  text-align: center;
  min-height: 32px;
  line-height: 32px;
  cursor: pointer;
  background: var(--card);
  border-left: 1px solid var(--line);
}
.positions label:first-child {
  border-left: 0;
}
.positions label.on {
  background: var(--petrol);
  color: var(--paper);
  font-weight: 600;
}
.positions label:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: -3px;
}
.unseen {
  position: absolute;
  opacity: 0;
  width: 1px;
  height: 1px;
}
.switch input[type='range'] {
  width: 100%;
  min-height: 32px;
}
@media (max-width: 700px) {
  .gimbals {
    justify-content: space-between;
    gap: 0.6rem;
  }
  .gimbals > * {
    width: calc(50% - 0.3rem);
  }
  .switches {
    max-width: none;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .positions label {
    min-height: 44px;
    line-height: 44px;
  }
}
</style>
