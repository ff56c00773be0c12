<script setup lang="ts">
import { computed } from 'vue'
import { sentenceOf } from '@/api/http'
import { isSample } from '@/api/rigs'
import { type OtherBench, useDryBench } from '@/composables/useDryBench'
import BenchChain from './BenchChain.vue'
import CraftDrawing from './CraftDrawing.vue'
import WordHint from '@/components/WordHint.vue'
import CraftValues from '@/components/CraftValues.vue'
import FaultPicks from './FaultPicks.vue'
import HandControls from './HandControls.vue'
import ProbePanel from './ProbePanel.vue'

/** One rig on the dry bench. */
const props = defineProps<{ slug: string; other?: OtherBench }>()
const bench = useDryBench(() => props.slug, props.other)
const { hands, setUp, shown, problem, drawn } = bench
const controller = computed(() => shown.value?.controller ?? null)
const REFUSES = { angle: 'it is tilted, or calibrates', window: 'the switch misses its window', throttle: 'the throttle is not low enough' } as const
</script>

<template>
  <p v-if="setUp.error.value" class="band stop" role="alert">{{ sentenceOf(setUp.error.value) }}</p>
  <p v-else-if="setUp.data.value?.refusal" class="band">
    It cannot be run yet. {{ setUp.data.value.refusal }} <RouterLink v-if="!isSample(slug)" :to="`/rigs/${slug}/path`">To its path</RouterLink>
  </p>
  <div v-else-if="setUp.data.value && shown" :data-drawn="drawn">
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <BenchChain :set-up="setUp.data.value" :shown="shown" :lost="hands.lost" :probes="hands.probes" @lose="bench.lose" @hang="bench.hang" />
    <p v-for="one in shown.outcome ?? []" :key="one.hop" class="band" :class="{ stop: one.severity === 'stop' }" aria-live="polite">
      Link {{ one.hop }} is cut. {{ one.says }} <RouterLink v-if="!isSample(slug)" :to="`/rigs/${slug}/failsafe`">Failsafe</RouterLink>
    </p>
    <div class="columns">
      <HandControls :set-up="setUp.data.value" :bench="bench" />
      <section aria-labelledby="craft-does">
        <h2 id="craft-does">The craft</h2>
        <div class="does">
          <CraftDrawing :shown="shown" :kind="setUp.data.value.craft_kind" />
          <CraftValues :shown="shown" />
        </div>
        <p v-if="controller && controller.armed !== null" class="arms" :class="{ yes: controller.armed }" aria-live="polite">
          <b>{{ controller.armed ? 'It arms' : 'It does not arm' }}</b>
          <template v-if="controller.refuses">: {{ REFUSES[controller.refuses] }}</template>
        </p>
        <p v-if="controller && controller.windows.length > 0" class="windows small">
          <span v-for="one in controller.windows" :key="one.name" :class="{ inside: one.inside }"
            >{{ one.name }}: {{ one.inside ? 'inside' : 'outside' }}</span
          >
        </p>
        <section v-if="hands.probes.length > 0" aria-label="Probes" class="probes">
          <ProbePanel v-for="k in hands.probes" :key="k" :shown="shown" :position="k" @take="bench.hang(k)" />
        </section>
        <p v-else class="muted small">
          Hang a <WordHint word="probe" /> on a <WordHint word="coupling" /> above to see its values, its bytes, or the wire itself.
        </p>
      </section>
      <FaultPicks v-if="!other" :set-up="setUp.data.value" :faults="hands.faults" :slug="slug" @put="bench.putIn" />
    </div>
  </div>
  <p v-else-if="problem" class="band stop" role="alert">{{ problem }}</p>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 372px minmax(0, 1fr) 250px;
  gap: 1.6rem;
  align-items: start;
  margin: 0.8rem 0 1rem;
}
.does {
  display: grid;
  grid-template-columns: minmax(120px, 180px) minmax(0, 1fr);
  gap: 1rem;
  align-items: start;
  margin-top: 0.5rem;
}
.arms {
  margin-top: 0.6rem;
  padding: 0.3rem 0.7rem;
  border-left: 4px solid var(--amber-line);
  background: var(--wash);
}
.arms.yes {
  border-left-color: var(--stop);
}
.windows {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.6rem;
  margin-top: 0.5rem;
}
.windows span {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 0.05rem 0.5rem;
  color: var(--muted);
}
.windows .inside {
  border-color: var(--petrol-2);
  color: var(--ink);
  font-weight: 600;
}
.probes {
  display: grid;
  gap: 0.8rem;
  margin-top: 1rem;
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: 372px minmax(0, 1fr);
  }
}
@media (max-width: 860px) {
  .columns,
  .does {
    grid-template-columns: minmax(0, 1fr);
  }
  .probes {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
