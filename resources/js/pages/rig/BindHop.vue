<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { asChoices } from '@/lib/choice'
import { useSessionStorage } from '@vueuse/core'
import { computed, reactive, watch } from 'vue'
import type { BindAttempt, BindCombination, BindHopView } from '@/api/rigs'
import { moment as date } from '@/lib/dates'
import { numberFrom } from '@/lib/numberText'
import type { RigHandle } from '@/composables/useRig'
import CountDown from './CountDown.vue'
import ProofForm from './ProofForm.vue'
import LabelledField from '@/components/form/LabelledField.vue'

export interface BindHopProps {
  hop: BindHopView
  several: boolean
  slug: string
  handle: RigHandle
}
const props = defineProps<BindHopProps>()

/** What was tried; what the light did survives a reload. */
const tried = reactive({
  variant: '',
  channel_mode: '',
  region: '',
  distance: '2',
  note: useSessionStorage(`linguator.light/${props.slug}/${props.hop.hop}`, ''),
})
const distance = computed(() => numberFrom(tried.distance, null))
const lastFailed = computed(() => props.hop.attempts[0]?.bound === false)
const isBound = computed(() => props.hop.attempts[0]?.bound === true)

watch(() => props.hop.next, aim, { immediate: true })

function aim(next: BindCombination | null): void {
  tried.variant = next?.variant ?? props.hop.variants[0] ?? ''
  tried.channel_mode = next?.channel_mode ?? props.hop.channel_modes[0] ?? ''
  tried.region = next?.region ?? props.hop.regions[0] ?? ''
}

function log(bound: boolean): void {
  if (distance.value === null) return
  const attempt = {
    hop: props.hop.hop,
    variant: tried.variant,
    channel_mode: tried.channel_mode,
    ...(tried.region === '' ? {} : { region: tried.region }),
    distance_m: distance.value,
    bound,
    ...(tried.note.trim() === '' ? {} : { note: tried.note.trim() }),
  }
  const note = tried.note
  void props.handle.intend('log-attempt', attempt).then((done) => {
    if (done && tried.note === note) tried.note = ''
  })
}

const words = (entry: BindCombination | BindAttempt) => [entry.variant, modeWords(entry.channel_mode), entry.region].filter(Boolean).join(', ')
const modeWords = (mode: string) => (/^\d/.test(mode) ? `channels ${mode.replace('-', '–')}` : '')
</script>

<template>
  <section class="hop" :aria-label="`Hop ${hop.hop}`">
    <h3 v-if="several">Hop {{ hop.hop }}: {{ hop.sender }} to {{ hop.receiver }}</h3>
    <div class="halves">
      <div class="recipe">
        <h3 v-if="!several">{{ hop.sender }} and {{ hop.receiver }}</h3>
        <ol class="plain-list">
          <li v-for="(step, k) in hop.recipe" :key="k">
            <span class="digit value">{{ k + 1 }}</span>
            <div>
              <p>
                {{ step.text }}
                <CountDown v-if="step.seconds" :seconds="step.seconds" label="Seconds left to bind" />
              </p>
              <p v-if="step.light" class="light"><span class="lamp" aria-hidden="true"></span>Light: {{ step.light }}</p>
            </div>
          </li>
        </ol>
      </div>

      <div class="tries">
        <h3>What to try{{ hop.attempts.length > 0 ? ' next' : ' first' }}</h3>
        <p v-if="hop.next" class="next">
          <b class="value">{{ words(hop.next) }}</b> <span class="muted">at {{ hop.next.distance_m }} m</span>
        </p>
        <p class="band" :class="{ calm: !lastFailed }">{{ hop.because }}</p>
        <form class="log" @submit.prevent>
          <LabelledField v-if="hop.variants.length > 1" label="Protocol"
            ><PickField v-model="tried.variant" :options="asChoices(hop.variants)"
          /></LabelledField>
          <LabelledField v-if="hop.channel_modes.length > 1" label="Channels"
            ><PickField v-model="tried.channel_mode" :options="asChoices(hop.channel_modes)"
          /></LabelledField>
          <LabelledField v-if="hop.regions.length > 1" label="Region"
            ><PickField v-model="tried.region" :options="asChoices(hop.regions)"
          /></LabelledField>
          <LabelledField label="Distance, m"
            ><input v-model="tried.distance" class="field value distance" inputmode="decimal" maxlength="6" :aria-invalid="distance === null"
          /></LabelledField>
          <LabelledField class="note" label="Seen"
            ><input v-model="tried.note" class="field" maxlength="200" placeholder="what the light did"
          /></LabelledField>
          <div class="taps">
            <ActButton :disabled="distance === null" @click="log(true)">It bound</ActButton>
            <ActButton :disabled="distance === null" @click="log(false)">It did not</ActButton>
          </div>
        </form>

        <div v-if="isBound || hop.proof.state !== 'open'" class="proof">
          <h3>Prove it</h3>
          <p v-if="hop.proof.state === 'holds'" class="band calm">Proven on {{ date(hop.proof.at) }}: the light follows the handset.</p>
          <p v-else-if="hop.proof.state === 'stale'" class="band">Bind again: {{ hop.proof.reasons.join(', ') }} since {{ date(hop.proof.at) }}.</p>
          <template v-if="hop.proof.state !== 'holds'">
            <p>{{ hop.proof_how }}</p>
            <ProofForm
              :title="several ? `Bind of hop ${hop.hop}` : 'Bind'"
              :place="`${slug}/bind/${hop.hop}`"
              seen="button"
              passes="It does"
              fails="It does not"
              :save="(passed, _observed, by) => handle.prove('prove-bind', { hop: hop.hop, passed, by })"
            />
          </template>
        </div>

        <details v-if="hop.ladder.length > 1" class="ladder">
          <summary>The whole ladder, {{ hop.expected_minutes }} minutes on average</summary>
          <table>
            <thead>
              <tr>
                <th scope="col">try</th>
                <th scope="col">chance</th>
                <th scope="col">time</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="rung in hop.ladder" :key="words(rung)">
                <td>
                  <ActButton kind="link" @click="aim(rung)">{{ words(rung) }}</ActButton>
                </td>
                <td class="value">{{ Math.round(rung.p * 100) }} %</td>
                <td class="value">{{ rung.minutes }} min</td>
              </tr>
            </tbody>
          </table>
        </details>
        <section v-if="hop.attempts.length > 0">
          <h3>What was tried</h3>
          <ul class="plain-list attempts">
            <li v-for="(attempt, k) in hop.attempts" :key="k">
              <b :class="{ failed: !attempt.bound }">{{ attempt.bound ? 'bound' : 'did not bind' }}</b> {{ words(attempt) }},
              {{ attempt.distance_m }} m
              <span class="muted small"
                >{{ date(attempt.at) }}<template v-if="attempt.note"> · {{ attempt.note }}</template></span
              >
            </li>
          </ul>
        </section>
      </div>
    </div>
  </section>
</template>

<style scoped>
.hop + .hop {
  margin-top: 2rem;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.05fr) minmax(0, 1fr);
  gap: 1.6rem;
  margin-top: 0.4rem;
}
.recipe li {
  display: flex;
  gap: 0.8rem;
  padding: 0.55rem 0;
  border-bottom: 1px solid var(--line);
  font-size: 1.05rem;
  line-height: 1.35;
}
.digit {
  font-size: 1.25rem;
  color: var(--petrol);
  min-width: 1.2rem;
}
.light {
  color: var(--muted);
  font-size: 0.92rem;
  margin-top: 0.15rem;
}
.lamp {
  display: inline-block;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  border: 1.5px solid var(--petrol-2);
  background: var(--wash);
  margin-right: 0.45rem;
}
.next {
  font-size: 1.15rem;
  margin-bottom: 0.35rem;
}
.log {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 0.9rem;
  margin-top: 0.8rem;
  align-items: end;
}
.distance {
  width: 5.5rem;
}
.note {
  flex: 1 1 9rem;
}
.taps {
  display: flex;
  gap: 0.7rem;
  width: 100%;
  margin-top: 0.2rem;
}
.proof,
.ladder,
section section {
  margin-top: 1.1rem;
}
summary {
  cursor: pointer;
  color: var(--petrol);
  min-height: 32px;
}
.attempts li {
  padding: 0.25rem 0;
}
.failed {
  color: var(--amber-text);
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 700px) {
  .taps :deep(button) {
    min-height: 48px;
    flex: 1;
  }
}
</style>
