<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, useId } from 'vue'
import { deskQuery } from '@/api/captures'
import { choicesQuery } from '@/api/choices'
import { postJson } from '@/api/http'
import LabelledField from '@/components/form/LabelledField.vue'
import { gamepadSource } from '@/composables/live/gamepad'
import { lineInSource } from '@/composables/live/lineIn'
import { logSource } from '@/composables/live/log'
import { type Picked, type SourceKind, SOURCES, WHY_NOT } from '@/composables/live/picked'
import { portSource } from '@/composables/live/port'
import { hasSerial, serialSource } from '@/composables/live/serial'
import type { Row } from '@/composables/live/source'

/** Where live values come from: one choice for every screen that takes them, each with its limits. */
export interface SourcePickerProps {
  kinds: readonly SourceKind[]
  /** The card of a format, where it is known. */
  format?: string
  /** What the stand-in sends; without it there is none. */
  standIn?: () => Promise<Row[]>
  /** A capture of the desk that is wanted already. */
  wantsCapture?: string
  /** What comes of it is written: then a capture of sound is none to take it from. */
  isWritten?: boolean
  /** Why the stand-in cannot. */
  refusal?: string | null
}
const props = withDefaults(defineProps<SourcePickerProps>(), { format: '', standIn: undefined, wantsCapture: '', refusal: null })
defineEmits<{ choose: [picked: Picked] }>()

const group = useId()
const USUAL_PORT = '4420'
const choices = useQuery(choicesQuery)
const lines = computed(() => choices.data.value?.lines ?? [])
const desk = useQuery(deskQuery)
const captures = computed(() => (props.kinds.includes('log') ? (desk.data.value?.captures ?? []) : []))
const offered = computed(() => props.kinds.filter((kind) => (kind === 'adapter' ? hasSerial() : kind === 'log' ? captures.value.length > 0 : true)))
const wanted = ref<SourceKind>(props.wantsCapture === '' ? (props.kinds[0] ?? 'port') : 'log')
const from = computed(() => (offered.value.includes(wanted.value) ? wanted.value : (offered.value[0] ?? 'port')))
const port = ref(USUAL_PORT)
const line = ref('')
const capture = ref(props.wantsCapture)
const chosen = computed(() => lines.value.find((one) => one.title === line.value) ?? lines.value[0] ?? null)
const isPort = computed(() => /^\d{1,5}$/.test(port.value.trim()))
const standInLog = () => props.standIn?.() ?? Promise.resolve([])
async function rowsOf(id: string): Promise<Row[]> {
  const { log, is_sound } = await postJson<{ log: Row[]; is_sound: boolean }>(`/captures/${id}/rows`, {})
  if (props.isWritten && is_sound) throw new Error(WHY_NOT.sound)
  return log
}

const picked = computed<Picked | null>(() => {
  const kind = from.value
  if (kind === 'port') return isPort.value ? { kind, source: portSource(Number(port.value), props.format) } : null
  if (kind === 'adapter') return chosen.value === null ? null : { kind, source: serialSource(chosen.value, props.format) }
  if (kind === 'sound') return { kind, source: lineInSource() }
  if (kind === 'controller') return { kind, source: gamepadSource() }
  if (kind === 'stand-in') return props.standIn === undefined || props.refusal !== null ? null : { kind, source: logSource(standInLog, 1) }
  const id = capture.value
  return id === '' ? null : { kind, capture: id, source: logSource(() => rowsOf(id), 1) }
})
</script>

<template>
  <form class="picker" @submit.prevent="picked && $emit('choose', picked)">
    <fieldset class="kinds">
      <legend>Values from</legend>
      <label v-for="kind in offered" :key="kind" class="kind" :class="{ on: kind === from }">
        <input v-model="wanted" type="radio" :name="group" :value="kind" :checked="kind === from" /> {{ SOURCES[kind].name }}
      </label>
    </fieldset>
    <p class="muted small limits">
      {{ SOURCES[from].limits }}
      <template v-if="from === 'port' && !isPort">A port is a whole number, 1 to 65535.</template>
      <template v-if="from === 'stand-in' && refusal">{{ refusal }}</template>
    </p>
    <LabelledField v-if="from === 'port'" label="Port"
      ><input v-model="port" class="field port" inputmode="numeric" maxlength="5" :aria-invalid="!isPort"
    /></LabelledField>
    <LabelledField v-if="from === 'adapter'" label="Line"
      ><PickField v-model="line" :options="choicesOf(lines, (one) => (one === lines[0] ? '' : one.title), 'title')"
    /></LabelledField>
    <LabelledField v-if="from === 'log'" label="Capture"
      ><PickField v-model="capture" :options="choicesOf(captures, 'id', 'name', 'choose one')"
    /></LabelledField>
    <slot v-if="from === 'stand-in'" name="stand-in" />
    <ActButton kind="primary" html-type="submit" :disabled="picked === null"><slot>Listen</slot></ActButton>
  </form>
</template>

<style scoped>
.picker {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.9rem;
  align-items: end;
}
.port {
  width: 6rem;
}
.kinds {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  flex-basis: 100%;
}
.kinds legend {
  font-size: 0.9rem;
  padding: 0;
  margin-bottom: 0.2rem;
}
.kind {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 40px;
  padding: 0 0.8rem;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
}
.kind.on {
  border-color: var(--petrol);
  font-weight: 600;
}
.limits {
  flex-basis: 100%;
  margin: 0;
}
@media (max-width: 700px) {
  .kind {
    min-height: 44px;
  }
}
</style>
