<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { computed, ref } from 'vue'
import { sentenceOf } from '@/api/http'
import { LEVEL_TITLES, type Level, usePractice } from '@/composables/usePractice'
import { figure } from '@/lib/numberText'
import DryBenchOf from '@/pages/drybench/DryBenchOf.vue'
import PracticeReview from './PracticeReview.vue'
import PracticeSteps from './PracticeSteps.vue'
import PracticeTests from './PracticeTests.vue'

/** One game: the complaint, the clock, tests to make, a fault to name. */
const props = defineProps<{ rig: string; level: Level; seed: string }>()
const practice = usePractice(
  () => props.rig,
  () => props.level,
  () => props.seed,
)
const { game, isBusy } = practice
const named = ref('')
const changed = ref('')
const shown = computed(() => game.data.value)

function name(): void {
  if (named.value === '') return
  practice.make({ name: named.value })
  named.value = ''
}

function change(): void {
  if (changed.value === '') return
  practice.make({ change: changed.value })
  changed.value = ''
}
const minutesOf = (id: string) => shown.value?.settings.find((one) => one.id === id)?.minutes ?? 0
</script>

<template>
  <p v-if="game.error.value" class="band stop" role="alert">
    {{ sentenceOf(game.error.value) }} <RouterLink to="/practice">Choose another game</RouterLink>
  </p>
  <template v-else-if="shown">
    <div class="page-top">
      <div>
        <p class="muted small">
          Practice: {{ shown.rig }}, {{ LEVEL_TITLES[shown.level].toLowerCase() }}, seed <span class="value">{{ shown.seed }}</span>
        </p>
        <h1 class="complaint">“{{ shown.complaint }}”</h1>
      </div>
      <p class="clock" aria-live="polite">
        <b class="value">{{ figure(shown.minutes) }}</b> min on the job
      </p>
    </div>
    <PracticeReview v-if="shown.review" :game="shown" :practice="practice" :rig="rig" />
    <div v-else class="columns">
      <PracticeTests :game="shown" :is-busy="isBusy" @make="(test) => practice.make({ test })" />
      <div>
        <section aria-labelledby="name-it" class="name-it">
          <h2 id="name-it">Name the fault</h2>
          <p v-if="shown.faults > 1" class="muted small">{{ shown.found }} of {{ shown.faults }} found.</p>
          <form class="row" @submit.prevent="name">
            <PickField v-model="named" aria-label="The fault" :options="choicesOf(shown.causes, 'id', 'says', 'choose what it is')" />
            <ActButton kind="primary" html-type="submit" :disabled="named === '' || isBusy">That is it</ActButton>
          </form>
          <p class="muted small">A wrong one costs {{ figure(shown.wrong_minutes) }} min.</p>
          <form class="row" @submit.prevent="change">
            <PickField
              v-model="changed"
              aria-label="A setting to put back"
              :options="
                choicesOf(
                  shown.settings,
                  'id',
                  (setting) => `${setting.says}, ${figure(setting.minutes)} min`,
                  'or put a setting back, as the record says',
                )
              "
            />
            <ActButton html-type="submit" :disabled="changed === '' || isBusy">{{
              changed === '' ? 'Put it back' : `Put it back, ${figure(minutesOf(changed))} min`
            }}</ActButton>
          </form>
          <div class="more">
            <ActButton v-if="!shown.has_looked" :disabled="isBusy" @click="practice.make({ look: true })"
              >Open the dry bench, {{ figure(shown.look_minutes) }} min</ActButton
            >
            <ActButton kind="link" class="small" :disabled="isBusy" @click="practice.make({ give_up: true })">give up</ActButton>
          </div>
        </section>
        <PracticeSteps :steps="shown.steps" :tests="shown.tests" :settings="shown.settings" />
      </div>
    </div>
    <section v-if="shown.has_looked && !shown.review" aria-labelledby="bench-open" class="open-bench">
      <h2 id="bench-open">The dry bench, with the fault in it</h2>
      <DryBenchOf :key="shown.found" :slug="rig" :other="practice.bench" />
    </section>
  </template>
  <p v-else class="muted">The craft is brought in.</p>
</template>

<style scoped>
.complaint {
  font-size: 1.7rem;
}
.clock {
  font-size: 1.1rem;
}
.clock b {
  font-size: 1.8rem;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
  margin-top: 1rem;
}
.name-it {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.8rem 1rem;
  margin-bottom: 1rem;
}
.row {
  display: flex;
  gap: 0.5rem;
  margin: 0.5rem 0 0.2rem;
}

.open-bench {
  margin-top: 1.5rem;
  border-top: 1px solid var(--line);
  padding-top: 1rem;
}
.more {
  display: flex;
  gap: 1rem;
  align-items: center;
  margin-top: 0.6rem;
}
@media (max-width: 860px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .row {
    flex-direction: column;
  }
}
</style>
