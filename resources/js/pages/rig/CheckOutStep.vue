<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import WordLine from '@/components/WordLine.vue'
import FaultLink from '@/components/FaultLink.vue'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { ReadinessCheck, RigData, StepState } from '@/api/rigs'
import TextField from '@/components/form/TextField.vue'
import TickField from '@/components/form/TickField.vue'
import StateMark from '@/components/StateMark.vue'
import { age, day } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'
import VerdictLine from '@/components/VerdictLine.vue'
import { useWho } from '@/composables/useWho'
import LeftoverList from './LeftoverList.vue'
import ProofForm from './ProofForm.vue'
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
const leftovers = computed(() => view.value.leftovers)
/** A check that holds and is to be made again. */
const again = ref<string | null>(null)
const by = useWho()
const note = useSessionStorage(`linguator.sign/${props.rig.slug}`, '')

const titleOf = (check: ReadinessCheck) => check.title + (check.hop !== null && several.value ? `, hop ${check.hop}` : '')
const keyOf = (check: ReadinessCheck) => `${check.check}/${check.hop ?? ''}`

async function made(check: ReadinessCheck, passed: boolean, observed: string, by: string): Promise<boolean> {
  const isKept = await props.handle.prove('make-check', { check: check.check, passed, observed, by })
  if (isKept) again.value = null
  return isKept
}

async function sign(): Promise<void> {
  const text = note.value
  if ((await props.handle.prove('sign-off', { by: by.value, note: text })) && note.value === text) note.value = ''
}

const tellIndoors = (indoors: boolean) => props.handle.intend('tell-indoors', { indoors })
const tellAntenna = (antenna: string) => props.handle.intend('tell-antenna', { antenna })
</script>

<template>
  <div>
    <h2>Check-out</h2>
    <WordLine :words="['proof', 'stale', 'range check', 'signed off']" />
    <p v-if="view.checks.length === 0" class="muted">
      There is nothing to check out yet. <RouterLink :to="`/rigs/${rig.slug}/path`">Choose the path</RouterLink> first.
    </p>
    <template v-else>
      <p class="verdict"><VerdictLine :next="rig.review.next" /></p>
      <ul v-if="view.stops.length > 0" class="stops">
        <li v-for="stop in view.stops" :key="stop">{{ stop }}</li>
      </ul>
      <p class="muted">Everything that must hold, in the order in which it is redone. A check holds only for the settings it was made with.</p>
      <label class="who">Who checks <input v-model="by" class="field" maxlength="80" autocomplete="name" /></label>
      <p class="pack">
        <a :href="`/api/v1/rigs/${rig.slug}/field-pack`" :download="`${rig.slug}-field.html`">Field pack for a phone</a>
        <span class="muted small">one file that works without a network;</span>
        <RouterLink to="/field">import what was seen with it</RouterLink>
      </p>
      <ol class="plain-list checks">
        <li v-for="check in view.checks" :key="keyOf(check)" :class="check.state">
          <StateMark :state="check.required ? MARKS[check.state] : check.state === 'holds' ? 'done' : 'open'" />
          <div class="what">
            <b>{{ titleOf(check) }}</b> <span class="word">{{ check.required ? WORDS[check.state] : 'not needed' }}</span>
            <span v-if="check.at" class="muted small when"
              >{{ day(check.at) }}, {{ age(check.at) }}<template v-if="check.by">, {{ check.by }}</template></span
            >
            <p v-if="check.state === 'stale'" class="why">Because {{ check.reasons.join(', ') }}.</p>
            <p v-else-if="check.observed && check.state !== 'open'" class="small">
              {{ check.observed }} <FaultLink v-if="check.state === 'failed'" />
            </p>
            <p v-if="check.state !== 'holds' && check.required" class="muted small">Expected: {{ check.expected }}.</p>
            <ProofForm
              v-if="!check.step && check.required && (check.state !== 'holds' || again === keyOf(check))"
              :title="titleOf(check)"
              :place="`${rig.slug}/${keyOf(check)}`"
              is-compact
              passes="holds"
              fails="failed"
              :save="(passed, observed, by) => made(check, passed, observed, by)"
            />
            <ActButton kind="link" v-else-if="!check.step && check.required" class="small" @click="again = keyOf(check)">
              check {{ titleOf(check).toLowerCase() }} again
            </ActButton>
            <RangeMeaning v-if="check.check === 'range' && check.required" :rig="rig" :handle="handle" />
            <label v-if="check.check === 'antenna'" class="inline"
              >Where it sits
              <TextField :value="rig.document.settings.antenna ?? ''" :save="tellAntenna" maxlength="200" placeholder="upright behind the canopy"
            /></label>
            <label v-if="check.check === 'range'" class="inline"
              ><TickField :value="rig.document.craft.indoors ?? false" :save="tellIndoors" /> It stays within one room</label
            >
          </div>
          <RouterLink v-if="check.step" :to="`/rigs/${rig.slug}/${check.step}`" class="to">{{
            check.state === 'holds' ? 'see it' : 'do it'
          }}</RouterLink>
        </li>
      </ol>
      <section v-if="leftovers.length > 0" aria-labelledby="open-title">
        <h3 id="open-title">Not done, or left as it is</h3>
        <p class="muted small">Each of these is done on its step, or left as it is for a reason that is printed on the sheet.</p>
        <LeftoverList :rig="rig" :handle="handle" :leftovers="leftovers" with-step />
      </section>
      <section class="sign">
        <h3>Sign-off</h3>
        <p v-if="view.sign_off.state === 'stale'" class="band">
          Signed off on {{ day(view.sign_off.at) }} by {{ view.sign_off.by }}; no longer, because {{ view.sign_off.reasons.join(', ') }}.
        </p>
        <p v-else-if="view.sign_off.state === 'holds' && view.sign_off.observed" class="band calm">{{ view.sign_off.observed }}</p>
        <form class="row" @submit.prevent="sign">
          <LabelledField label="Name"><input v-model="by" class="field" maxlength="80" autocomplete="name" /></LabelledField>
          <LabelledField label="Note" is-growing><input v-model="note" class="field" maxlength="300" /></LabelledField>
          <ActButton
            kind="primary"
            html-type="submit"
            :loading="handle.isSending.value"
            :disabled="view.refused_because.length > 0 || by.trim() === ''"
            >Sign it off</ActButton
          >
        </form>
        <p v-if="view.refused_because.length > 0" class="muted">
          It cannot be signed off yet: {{ view.refused_because.length === 1 ? 'one thing stands' : `${view.refused_because.length} things stand` }}
          against it.
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.verdict {
  font-size: 1.3rem;
}
.stops {
  color: var(--stop);
}
.stops {
  padding-left: 1.2rem;
}
.pack {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.7rem;
  margin-top: 0.6rem;
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
.inline :deep(.field) {
  min-height: 32px;
  flex: 1;
  max-width: 18rem;
}
.checks + section,
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
  .to {
    grid-column: 2;
    text-align: left;
  }
}
</style>
