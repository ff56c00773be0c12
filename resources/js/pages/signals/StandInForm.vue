<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { asChoices, choicesOf } from '@/lib/choice'
import { computed, reactive, watch } from 'vue'
import LabelledField from '@/components/form/LabelledField.vue'
import NumberField from '@/components/form/NumberField.vue'

export interface StandInFormProps {
  formats: { id: string; name: string }[]
}
const props = defineProps<StandInFormProps>()
const emit = defineEmits<{ send: [body: { kind: string; stand_in: Record<string, unknown> }] }>()

const form = reactive({ format: 's100i', kind: 'csv', seconds: 2, inverted: false, fault: 'none', amount: 5 })
const FORMATS = computed(() => [
  ...choicesOf(props.formats, 'id', 'name'),
  { value: 'ppm', label: 'pulse train' },
  { value: 'pwm', label: 'single pulse' },
])
const isPulse = computed(() => form.format === 'ppm' || form.format === 'pwm')
const KINDS = computed(() => (isPulse.value ? ['csv', 'vcd', 'wav'] : ['csv', 'vcd', 'hex', 'bin']))
const FAULTS: { key: string; title: string; unit: string; usual: number }[] = [
  { key: 'none', title: 'nothing is wrong', unit: '', usual: 0 },
  { key: 'dropped', title: 'frames are dropped', unit: '% of frames', usual: 5 },
  { key: 'damaged', title: 'frames are damaged', unit: '% of frames', usual: 5 },
  { key: 'jitter_us', title: 'frames come early and late', unit: 'µs at most', usual: 800 },
  { key: 'baud', title: 'another baud', unit: 'baud', usual: 115200 },
  { key: 'period_ms', title: 'another period, or a short gap', unit: 'ms', usual: 15 },
  { key: 'failsafe_after_s', title: 'the link is cut', unit: 's after the begin', usual: 1 },
  { key: 'stuck_after_s', title: 'the sticks freeze', unit: 's after the begin', usual: 1 },
]
const fault = computed(() => FAULTS.find((one) => one.key === form.fault) ?? FAULTS[0])
const SHARES = ['dropped', 'damaged']

watch(isPulse, () => {
  if (!KINDS.value.includes(form.kind)) form.kind = 'csv'
})
watch(
  () => form.fault,
  () => (form.amount = fault.value?.usual ?? 0),
)

const kept = (take: (value: number) => void) => (value: number | null) => {
  if (value !== null) take(value)
  return Promise.resolve(true)
}
const keepSeconds = kept((value) => (form.seconds = value))
const keepAmount = kept((value) => (form.amount = value))

function send(): void {
  const standIn: Record<string, unknown> = { format: form.format, seconds: form.seconds }
  if (form.inverted) standIn.inverted = true
  if (form.fault !== 'none') standIn[form.fault] = SHARES.includes(form.fault) ? form.amount / 100 : form.amount
  emit('send', { kind: form.kind, stand_in: standIn })
}
</script>

<template>
  <form class="stand-in" @submit.prevent="send">
    <p class="muted small">A simulated receiver with moving sticks, made by the same encoder: to try things without equipment.</p>
    <div class="row">
      <LabelledField label="It sends"><PickField v-model="form.format" :options="FORMATS" /></LabelledField>
      <LabelledField label="captured as"><PickField v-model="form.kind" :options="asChoices(KINDS)" /></LabelledField>
      <LabelledField label="for"
        ><span class="unit"
          ><NumberField :value="form.seconds" :save="keepSeconds" :lowest="0.1" :highest="60" aria-label="for how many seconds" maxlength="6" />
          s</span
        ></LabelledField
      >
      <LabelledField label="and"><PickField v-model="form.fault" :options="choicesOf(FAULTS, 'key', 'title')" /></LabelledField>
      <LabelledField v-if="form.fault !== 'none'" label="by how much"
        ><span class="unit"
          ><NumberField :value="form.amount" :save="keepAmount" :lowest="0" aria-label="by how much" maxlength="9" /> {{ fault?.unit }}</span
        ></LabelledField
      >
      <label class="tick"><input v-model="form.inverted" type="checkbox" /> upside down</label>
      <ActButton kind="primary" html-type="submit">Let it send</ActButton>
    </div>
  </form>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 0.9rem;
  align-items: end;
  margin-top: 0.5rem;
}
.row .tick {
  display: flex;
  gap: 0.4rem;
  padding-bottom: 0.4rem;
}
.unit {
  display: flex;
  gap: 0.4rem;
  align-items: center;
}
.unit input {
  width: 6.5rem;
}
</style>
