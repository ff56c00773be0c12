<script setup lang="ts">
import FaultLink from '@/components/FaultLink.vue'
import { computed, ref } from 'vue'
import type { FailsafeHopView, LossTestView, RigData, Told } from '@/api/rigs'
import { age, day } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'
import ProofForm from './ProofForm.vue'

/** One place where a link can be lost: how it is tested, what must be seen, and what was. */
export interface LossTestProps {
  hop: FailsafeHopView
  test: LossTestView
  rig: RigData
  handle: RigHandle
}
const props = defineProps<LossTestProps>()

const isLead = computed(() => props.test.cut === 'lead')
const name = computed(() => (isLead.value ? `Lead test of hop ${props.hop.hop}` : `Failsafe test of hop ${props.hop.hop}`))
const hasChoices = computed(() => props.test.choices.length > 0)

/** Where nobody can know beforehand, what is seen is the answer. */
const shows = ref('')
async function tested(passed: boolean, observed: string, by: string): Promise<boolean> {
  const answer = shows.value === '' ? {} : { shows: shows.value as NonNullable<Told<'test-failsafe'>['shows']> }
  const cut = isLead.value ? { cut: 'lead' as const } : {}
  const isKept = await props.handle.prove('test-failsafe', { hop: props.hop.hop, passed, observed, by, ...answer, ...cut })
  if (isKept) shows.value = ''
  return isKept
}
</script>

<template>
  <div class="test">
    <h3>{{ isLead ? 'Test it with the lead pulled' : 'Test it' }}</h3>
    <p v-if="test.holds" class="band calm">
      Tested {{ day(test.at) }} ({{ age(test.at) }})<template v-if="test.by"> by {{ test.by }}</template
      >: {{ test.observed }}.
    </p>
    <p v-else-if="test.result === null" class="band">Never tested.</p>
    <p v-else-if="test.result === 'fail'" class="band">The last test failed: {{ test.observed }}. <FaultLink /></p>
    <p v-else class="band">The last test no longer holds: {{ test.reasons.join(', ') }}.</p>
    <p class="safety">{{ test.safety }}</p>
    <ol>
      <li>{{ test.do }}</li>
      <li>
        <template v-if="hasChoices">Nobody can say beforehand what it does: say below what you saw.</template>
        <template v-else-if="test.mend_first"
          >{{ test.mend_first }} As it is, this would be seen: <b>{{ test.see }}</b></template
        >
        <template v-else
          >Expected: <b>{{ test.see }}</b></template
        >
      </li>
      <li>{{ rig.review.failsafe.recovery }}</li>
    </ol>
    <fieldset v-if="hasChoices">
      <legend>What did it do?</legend>
      <label v-for="one in test.choices" :key="one.shows"
        ><input v-model="shows" type="radio" :name="`shows-${hop.hop}-${test.cut}`" :value="one.shows" /> {{ one.says }}</label
      >
    </fieldset>
    <ProofForm
      :title="name"
      :place="`${rig.slug}/failsafe/${hop.hop}/${test.cut}`"
      :seen="hasChoices ? 'may' : 'must'"
      :passes="hasChoices ? 'Write it down' : 'As expected'"
      :fails="hasChoices ? '' : 'Not as expected'"
      :may-pass="hasChoices ? shows !== '' : test.may_pass"
      :save="tested"
    />
  </div>
</template>

<style scoped src="./choices.css"></style>
<style scoped>
.test {
  margin-top: 0.9rem;
  border-top: 1px solid var(--line);
  padding-top: 0.7rem;
}
.safety {
  font-weight: 600;
  margin-top: 0.5rem;
}
ol {
  padding-left: 1.3rem;
  margin: 0.3rem 0;
}
li {
  padding: 0.15rem 0;
}
</style>
