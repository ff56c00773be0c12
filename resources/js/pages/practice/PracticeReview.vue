<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { isSample, type PracticeShown } from '@/api/rigs'
import { sentenceOf } from '@/api/http'
import type { usePractice } from '@/composables/usePractice'
import { figure } from '@/lib/numberText'
import { percentOf, placed } from '@/lib/scale'

/** The game is over: what it was, the best way beside one's own, what to look at next time. */
const props = defineProps<{ game: PracticeShown; practice: ReturnType<typeof usePractice>; rig: string }>()
const queries = useQueryClient()
const player = ref('')
const kept = ref(false)
const problem = ref<string | null>(null)
const isKeeping = ref(false)
const review = computed(() => props.game.review)
const asks = (id: string | null) => props.game.tests.find((test) => test.id === id)?.asks ?? ''
const minutesOf = (id: string) => props.game.tests.find((test) => test.id === id)?.minutes ?? 0
const DID = { name: 'Named it', change: 'Put a setting back', look: 'Opened the dry bench', give_up: 'Gave up' } as const
const bits = placed({ from: 0, to: 2 }, { from: 2, to: 100 }, true)
const address = computed(() => `${location.origin}/practice/${props.rig}/${props.game.level}/${props.game.seed}`)

async function keep(): Promise<void> {
  isKeeping.value = true
  try {
    await props.practice.keep(player.value.trim())
    kept.value = true
    problem.value = null
    await queries.invalidateQueries({ queryKey: ['practice-results'] })
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    isKeeping.value = false
  }
}
</script>

<template>
  <div v-if="review">
    <div class="verdict">
      <p class="score">
        <b class="value">{{ review.is_won ? `${figure(percentOf(review.score), 0)} %` : 'not found' }}</b>
        <span>{{ figure(game.minutes) }} min used, the best way takes {{ figure(review.best.minutes) }}</span>
      </p>
      <div>
        <p v-for="cause in review.truth" :key="cause.id">
          <b>{{ cause.says }}</b> {{ cause.fix }}
        </p>
        <p class="advice">Next time: {{ review.advice }}</p>
      </div>
    </div>
    <div class="ways">
      <section aria-labelledby="your-way">
        <h2 id="your-way">Your way</h2>
        <ol>
          <li v-for="(step, k) in game.steps" :key="k" :class="{ wrong: step.outcome === 'wrong' || step.outcome === 'nothing' }">
            <span>{{ step.did === 'test' ? asks(step.what) : DID[step.did] }}</span>
            <span class="muted small">{{ step.seen }}</span>
            <span class="value small">{{ figure(step.minutes) }} min</span>
            <template v-if="step.gain_bits !== null">
              <span class="bar" aria-hidden="true"><i :style="{ width: `${bits(step.gain_bits)}%` }"></i></span>
              <span class="small">
                told <span class="value">{{ figure(step.gain_bits, 2) }}</span> bits<template v-if="step.best && step.best !== step.what"
                  >; best by the minute: {{ asks(step.best) }} <span class="value">{{ figure(step.best_gain_bits ?? 0, 2) }}</span></template
                >
              </span>
            </template>
          </li>
        </ol>
      </section>
      <section aria-labelledby="best-way">
        <h2 id="best-way">The best way</h2>
        <ol>
          <li v-for="test in review.best.tests" :key="test">
            <span>{{ asks(test) }}</span>
            <span class="value small">{{ figure(minutesOf(test)) }} min</span>
          </li>
        </ol>
      </section>
    </div>
    <div class="after">
      <p v-if="isSample(rig)" class="muted small">A sample has no history: games on it are not kept.</p>
      <form v-else-if="!kept" class="keep" @submit.prevent="keep">
        <label for="player">Keep it; with a name it goes into the logbook too</label>
        <div class="row">
          <input id="player" v-model="player" class="field" type="text" maxlength="200" placeholder="your name, or nothing" autocomplete="name" />
          <ActButton html-type="submit" :disabled="isKeeping">Keep</ActButton>
        </div>
        <p v-if="problem" class="small wrong-word" role="alert">{{ problem }}</p>
      </form>
      <p v-else role="status">Kept. <RouterLink to="/practice">How it went so far</RouterLink></p>
      <p class="small">
        Give it to somebody: <span class="value">{{ address }}</span>
      </p>
      <p>
        <RouterLink class="again" :to="`/practice?rig=${rig}`">Another game</RouterLink>
        <ActButton kind="link" @click="practice.startAgain()">the same once more</ActButton>
      </p>
    </div>
  </div>
</template>

<style scoped>
.verdict {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2rem;
  align-items: center;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 1rem 1.2rem;
  margin: 1rem 0;
}
.score b {
  display: block;
  font-size: 2.4rem;
  line-height: 1.1;
  color: var(--petrol);
}
.advice {
  margin-top: 0.5rem;
}
.ways {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 2rem;
}
ol {
  padding-left: 1.3rem;
}
li {
  border-bottom: 1px solid var(--line);
  padding: 0.35rem 0;
}
li > span {
  display: block;
}
li.wrong {
  color: var(--stop);
}
.bar {
  height: 6px;
  background: var(--wash);
  border-radius: 3px;
  max-width: 240px;
  margin: 0.15rem 0;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--petrol-2);
  border-radius: 3px;
}
.after {
  display: grid;
  gap: 0.7rem;
  margin-top: 1.2rem;
}
.row {
  display: flex;
  gap: 0.5rem;
  max-width: 420px;
  margin-top: 0.3rem;
}
.row input {
  flex: 1;
}
.again {
  margin-right: 1.2rem;
}
.wrong-word {
  color: var(--stop);
}
@media (max-width: 800px) {
  .verdict,
  .ways {
    grid-template-columns: minmax(0, 1fr);
    gap: 1rem;
  }
}
</style>
