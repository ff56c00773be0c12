<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import type { ReadinessCheck, RigData, StepState } from '@/api/rigs'
import TextField from '@/components/form/TextField.vue'
import TickField from '@/components/form/TickField.vue'
import StateMark from '@/components/StateMark.vue'
import { age, day } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'
import RangeMeaning from './RangeMeaning.vue'
import LabelledField from '@/components/form/LabelledField.vue'

export interface CheckOutStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<CheckOutStepProps>()

const MARKS: Record<ReadinessCheck['state'], StepState> = { holds: 'done', stale: 'attention', failed: 'stop', open: 'open' }
const WORDS = { holds: 'holds', stale: 'stale', failed: 'failed', open: 'open' }
const view = computed(() => props.rig.review.readiness)
const several = computed(() => props.rig.review.failsafe.hops.length > 1)
const seen = reactive<Record<string, string>>({})
const by = useLocalStorage('linguator.by', '')
const note = ref('')

const titleOf = (check: ReadinessCheck) => check.title + (check.hop !== null && several.value ? `, hop ${check.hop}` : '')
const keyOf = (check: ReadinessCheck) => `${check.check}/${check.hop ?? ''}`

async function made(check: ReadinessCheck, passed: boolean): Promise<void> {
  const key = keyOf(check)
  const observed = seen[key] ?? ''
  if ((await props.handle.intend('make-check', { check: check.check, passed, observed, by: by.value.trim() })) && (seen[key] ?? '') === observed)
    seen[key] = ''
}

async function sign(): Promise<void> {
  const text = note.value
  if ((await props.handle.intend('sign-off', { by: by.value, note: text })) && note.value === text) note.value = ''
}

const tellIndoors = (indoors: boolean) => props.handle.intend('tell-indoors', { indoors })
const tellAntenna = (antenna: string) => props.handle.intend('tell-antenna', { antenna })
</script>

<template>
  <div>
    <h2>Check-out</h2>
    <p v-if="view.checks.length === 0" class="muted">
      There is nothing to check out yet. <RouterLink :to="`/rigs/${rig.slug}/path`">Choose the path</RouterLink> first.
    </p>
    <template v-else>
      <p class="verdict" :class="{ ready: view.ready, stop: view.stops.length > 0 }">
        <template v-if="view.sign_off.state === 'holds'">Ready, signed off on {{ day(view.sign_off.at) }} by {{ view.sign_off.by }}.</template>
        <template v-else-if="view.ready">Every check holds. It may be signed off.</template>
        <template v-else-if="view.stops.length > 0">Do not power or use it.</template>
        <template v-else>Not ready: {{ view.redo.length === 1 ? 'one check' : `${view.redo.length} checks` }} to do.</template>
      </p>
      <ul v-if="view.stops.length > 0" class="stops">
        <li v-for="stop in view.stops" :key="stop">{{ stop }}</li>
      </ul>
      <p class="muted">Everything that must hold, in the order in which it is redone. A check holds only for the settings it was made with.</p>
      <label class="who">Who checks <input v-model="by" class="field" maxlength="80" autocomplete="name" /></label>
      <ol class="plain-list checks">
        <li v-for="check in view.checks" :key="keyOf(check)" :class="check.state">
          <StateMark :state="check.required ? MARKS[check.state] : check.state === 'holds' ? 'done' : 'open'" />
          <div class="what">
            <b>{{ titleOf(check) }}</b> <span class="word">{{ check.required ? WORDS[check.state] : 'not needed' }}</span>
            <span v-if="check.at" class="muted small when"
              >{{ day(check.at) }}, {{ age(check.at) }}<template v-if="check.by">, {{ check.by }}</template></span
            >
            <p v-if="check.state === 'stale'" class="why">Because {{ check.reasons.join(', ') }}.</p>
            <p v-else-if="check.observed && check.state !== 'open'" class="small">{{ check.observed }}</p>
            <p v-if="check.state !== 'holds' && check.required" class="muted small">Must be seen: {{ check.expected }}.</p>
            <RangeMeaning v-if="check.check === 'range' && check.required" :rig="rig" :handle="handle" />
            <label v-if="check.check === 'antenna'" class="inline"
              >It sits
              <TextField :value="rig.document.settings.antenna ?? ''" :save="tellAntenna" maxlength="200" placeholder="upright behind the canopy"
            /></label>
            <label v-if="check.check === 'range'" class="inline"
              ><TickField :value="rig.document.craft.indoors ?? false" :save="tellIndoors" /> It stays within one room</label
            >
          </div>
          <div class="do">
            <RouterLink v-if="check.step" :to="`/rigs/${rig.slug}/${check.step}`" class="to">{{
              check.state === 'holds' ? 'see it' : 'do it'
            }}</RouterLink>
            <template v-else-if="check.required">
              <input
                v-model="seen[keyOf(check)]"
                class="field seen"
                :aria-label="`${titleOf(check)}: what was seen`"
                placeholder="what was seen"
                maxlength="300"
              />
              <a-button
                size="small"
                :type="check.state === 'holds' ? 'default' : 'primary'"
                :aria-label="`${titleOf(check)} holds`"
                @click="made(check, true)"
                >holds</a-button
              >
              <a-button size="small" :aria-label="`${titleOf(check)} failed`" @click="made(check, false)">failed</a-button>
            </template>
          </div>
        </li>
      </ol>
      <section class="sign">
        <h3>Sign-off</h3>
        <p v-if="view.sign_off.state === 'stale'" class="band">
          Signed off on {{ day(view.sign_off.at) }} by {{ view.sign_off.by }}; no longer, because {{ view.sign_off.reasons.join(', ') }}.
        </p>
        <p v-else-if="view.sign_off.state === 'holds' && view.sign_off.observed" class="band calm">{{ view.sign_off.observed }}</p>
        <form class="row" @submit.prevent="sign">
          <LabelledField label="Name"><input v-model="by" class="field" maxlength="80" autocomplete="name" /></LabelledField>
          <LabelledField label="Note" is-growing><input v-model="note" class="field" maxlength="300" /></LabelledField>
          <a-button type="primary" html-type="submit" :disabled="view.refused_because.length > 0 || by.trim() === ''">Sign it off</a-button>
        </form>
        <template v-if="view.refused_because.length > 0">
          <p class="muted">It cannot be signed off yet:</p>
          <ul class="refusals">
            <li v-for="reason in view.refused_because" :key="reason">{{ reason }}</li>
          </ul>
        </template>
      </section>
    </template>
  </div>
</template>

<style scoped>
.verdict {
  font-size: 1.3rem;
  color: var(--amber-text);
}
.verdict.ready {
  color: var(--petrol);
}
.verdict.stop,
.stops {
  color: var(--stop);
}
.stops,
.refusals {
  padding-left: 1.2rem;
}
.who {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  margin-top: 0.6rem;
}
.checks li {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 0.4rem 0.8rem;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--line);
  align-items: start;
}
.when {
  margin-left: 0.6rem;
}
.word {
  color: var(--muted);
}
.stale .word,
.why {
  color: var(--amber-text);
  font-weight: 500;
}
.failed .word {
  color: var(--stop);
  font-weight: 600;
}
.do {
  display: flex;
  gap: 0.4rem;
  align-items: center;
}
.seen {
  width: 11rem;
  min-height: 32px;
}
.to {
  min-width: 4rem;
  text-align: right;
}
.inline {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  font-size: 0.92rem;
  margin-top: 0.3rem;
}
.inline .field {
  min-height: 32px;
  flex: 1;
  max-width: 18rem;
}
.sign {
  margin-top: 1.4rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.7rem;
  align-items: end;
  margin: 0.5rem 0;
}
@media (max-width: 700px) {
  .checks li {
    grid-template-columns: 20px 1fr;
  }
  .do {
    grid-column: 2;
    flex-wrap: wrap;
    justify-content: start;
  }
  .do .to {
    text-align: left;
  }
  .do :deep(button) {
    min-height: 44px;
  }
  .seen {
    width: 100%;
  }
}
</style>
