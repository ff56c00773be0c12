<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { type Choice } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed, useId } from 'vue'
import { choicesQuery } from '@/api/choices'
import TextField from '@/components/form/TextField.vue'
import { namesQuery } from '@/api/shelf'
import { offered } from './offered'
import { type Entry, getAt, isEntry, setAt } from './cardPaths'
import type { Field } from './fields'
import PinStrip from './PinStrip.vue'
import PlugPins from './PlugPins.vue'
import StickCorner from './StickCorner.vue'
import StickModes from './StickModes.vue'

export interface FieldRowProps {
  field: Field
  entry: Entry
  /** Where it stands in the card, with the places of lists. */
  at?: string
}
const props = withDefaults(defineProps<FieldRowProps>(), { at: '' })
const emit = defineEmits<{ change: [entry: Entry] }>()

const NONE = 'none of them'
const id = useId()
const value = computed(() => getAt(props.entry, props.field.key))
const list = computed(() => (Array.isArray(value.value) ? (value.value as unknown[]) : []))
const text = computed(() =>
  value.value === null && props.field.none !== undefined
    ? NONE
    : value.value === undefined || value.value === null
      ? ''
      : Array.isArray(value.value)
        ? value.value.join(' ')
        : String(value.value),
)

function put(next: unknown): void {
  emit('change', setAt(props.entry, props.field.key, next))
}

function number(raw: string): number | undefined {
  const parsed = Number(raw.trim().replace(',', '.'))
  return raw.trim() === '' || !Number.isFinite(parsed) ? undefined : parsed
}

/** What manuals and labels call families, variants, wire formats and plugs. */
const names = useQuery({
  ...namesQuery,
  enabled: props.field.names !== undefined || props.field.from === 'wire_formats' || props.field.type === 'sequence',
})
const offers = computed(() => offered(names.data.value?.entries ?? [], props.field.names, props.entry.family))
const usual = computed(() => offers.value.map(({ value, aliases }) => ({ value, label: value + alsoNamed(aliases) })))
const meant = (raw: string) => offers.value.find((one) => one.aliases.some((alias) => alias.toLowerCase() === raw.trim().toLowerCase()))?.value

const wordsOf = (raw: string) => raw.split(/[\s;,]+/).filter((word) => word !== '')

/** What cannot be meant stays in the field and is marked. */
function wrong(raw: string): string {
  if (props.field.type === 'number') {
    return raw.trim() === '' || number(raw) !== undefined
      ? ''
      : `Found “${raw.trim()}”; expected a number${text.value === '' ? '.' : `. It stays ${text.value}.`}`
  }
  const odd = props.field.type === 'numbers' ? wordsOf(raw).find((word) => number(word) === undefined) : undefined
  return odd === undefined ? '' : `Found “${odd}”; expected numbers with blanks or commas between them.`
}

function tell(raw: string): Promise<boolean> {
  if (props.field.type === 'number') put(number(raw))
  else if (props.field.type === 'numbers' || props.field.type === 'words') {
    const items = props.field.type === 'words' ? wordsOf(raw) : wordsOf(raw).map(number)
    put(items.length === 0 ? undefined : items)
  } else put(raw === '' ? undefined : (meant(raw) ?? raw))
  return Promise.resolve(true)
}

function meanChoice(raw: string): void {
  // Where silence means the usual, what is not known is said.
  put(
    raw === ''
      ? props.field.usual === undefined
        ? undefined
        : null
      : raw === NONE
        ? null
        : raw === 'true'
          ? true
          : raw === 'false'
            ? false
            : props.field.isNumeric
              ? Number(raw)
              : raw,
  )
}

function tick(option: string, event: Event): void {
  const isOn = (event.target as HTMLInputElement).checked
  const next = isOn ? [...list.value, option] : list.value.filter((item) => item !== option)
  put(next.length === 0 ? undefined : next)
}

function entryAt(k: number): Entry {
  const item = list.value[k]
  return isEntry(item) ? item : props.field.bare === undefined ? {} : { [props.field.bare]: item }
}

function putEntry(k: number, entry: Entry): void {
  put(list.value.map((item, at) => (at === k ? entry : item)))
}

function remove(k: number): void {
  const next = list.value.filter((_, at) => at !== k)
  put(next.length === 0 ? undefined : next)
}

function add(): void {
  put([...list.value, { ...props.field.fresh }])
}

const choices = useQuery({ ...choicesQuery, enabled: props.field.from !== undefined })
const options = computed<[string, string][]>(() => {
  const from = props.field.from
  if (from === undefined) return props.field.options ?? []
  return (choices.data.value?.[from] ?? []).map((one) =>
    typeof one === 'string' ? [one, [...one].join(' ')] : [one.key, one.title + alsoCalled(one.key)],
  )
})
const alsoCalled = (format: string) => {
  return alsoNamed(names.data.value?.entries.find((one) => one.kind === 'format' && one.target === format)?.aliases ?? [])
}
function alsoNamed(aliases: readonly string[]): string {
  return aliases.length === 0 ? '' : ` (${aliases.join(', ')})`
}
/** A format of the user's own is none of the core's: what stands there is shown all the same. */
const other = computed(() =>
  text.value === '' || text.value === NONE || options.value.some(([option]) => option === text.value) ? null : text.value,
)
const offeredChoices = computed<Choice[]>(() => [
  { value: '', label: 'not known' },
  ...(other.value === null ? [] : [{ value: other.value, label: other.value }]),
  ...(props.field.none ? [{ value: NONE, label: props.field.none }] : []),
  ...options.value.map(([option, label]) => ({ value: option, label })),
])
const plugs = computed(() => (names.data.value?.entries ?? []).filter((entry) => entry.kind === 'plug'))
const asked = (entry: Entry) => (props.field.fields ?? []).filter((field) => field.when === undefined || field.when(entry))
</script>

<template>
  <fieldset v-if="field.type === 'list'" class="list">
    <legend>{{ field.question }}</legend>
    <div v-for="(_, k) in list" :key="k" class="entry" role="group" :aria-label="`${field.one} ${k + 1}`">
      <div class="grid">
        <FieldRow
          v-for="inner in asked(entryAt(k))"
          :key="inner.key"
          :field="inner"
          :entry="entryAt(k)"
          :at="`${at}${field.key}.${k}.`"
          @change="putEntry(k, $event)"
        />
      </div>
      <ActButton kind="link" class="small" @click="remove(k)">Remove this {{ field.one }}</ActButton>
    </div>
    <ActButton size="small" @click="add"
      >Add {{ list.length === 0 ? (/^[aeiou]/.test(field.one ?? '') ? 'an' : 'a') : 'another' }} {{ field.one }}</ActButton
    >
  </fieldset>
  <fieldset v-else-if="field.type === 'several'" class="several">
    <legend>
      {{ field.question }}<span v-if="field.hint" class="muted small"> ({{ field.hint }})</span>
    </legend>
    <label v-for="[option, label] in field.options" :key="option"
      ><input type="checkbox" :checked="list.includes(option)" @change="tick(option, $event)" /> {{ label }}</label
    >
  </fieldset>
  <PlugPins
    v-else-if="field.type === 'sequence'"
    :question="field.question"
    :options="field.options ?? []"
    :pins="list.map(String)"
    :known="plugs"
    @change="(pins) => put(pins.length === 0 ? undefined : pins)"
  />
  <StickCorner v-else-if="field.picture === 'corner'" :question="field.question" :options="options" :value="text" @choose="meanChoice" />
  <StickModes v-else-if="field.picture === 'modes'" :question="field.question" :value="text" @choose="meanChoice" />
  <label v-else class="one" :for="id">
    <span>{{ field.question }}</span>
    <PickField v-if="field.type === 'choice'" :id="id" :model-value="text" :options="offeredChoices" @update:model-value="meanChoice" />
    <span v-else class="with-unit">
      <TextField
        :id="id"
        :class="{ value: field.type !== 'text' }"
        :value="text"
        :wrong="wrong"
        :save="tell"
        :keep-as="`${at}${field.key}`"
        :placeholder="field.hint ?? 'not known'"
        :inputmode="field.type === 'number' ? 'decimal' : undefined"
        :offers="field.names === undefined ? undefined : usual"
      />
      <span v-if="field.unit" class="muted small unit">{{ field.unit }}</span>
    </span>
  </label>
  <PinStrip v-if="field.picture === 'pins' && list.length > 0" class="strip" :labels="list.map(String)" />
</template>

<style scoped src="./fieldGrid.css"></style>
<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  grid-column: 1 / -1;
  min-width: 0;
}
legend {
  font-weight: 500;
  padding: 0;
}
.entry {
  border-left: 3px solid var(--line);
  padding: 0.5rem 0 0.5rem 0.8rem;
  margin: 0.3rem 0;
}
.one {
  display: flex;
  flex-direction: column;
  font-size: 0.9rem;
  min-width: 0;
}
.one :deep(.field) {
  width: 100%;
  min-width: 0;
}
.strip {
  grid-column: 1 / -1;
}
.unit {
  white-space: nowrap;
}
.with-unit {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.15rem 0.4rem;
}
.with-unit :deep(.field) {
  flex: 1 1 4rem;
}
/* What is said of a field stands under it and its unit. */
.with-unit :deep(:is(.field-problem, .field-waits)) {
  order: 1;
}
.several {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 1.1rem;
}
.several legend {
  float: left;
  width: 100%;
  font-size: 0.9rem;
}
.several label {
  display: inline-flex;
  gap: 0.45rem;
  align-items: center;
  min-height: 32px;
}
.several input {
  width: 18px;
  height: 18px;
  accent-color: var(--petrol-2);
}
@media (max-width: 700px) {
  .several label {
    min-height: 44px;
  }
}
</style>
