<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RigData, SwitchRowView, SwitchWindowView } from '@/api/rigs'
import TravelRuler from '@/components/TravelRuler.vue'
import { figure, numberFrom } from '@/composables/numberText'
import type { RigHandle } from '@/composables/useRig'
import { useUnits } from '@/composables/useUnits'
import FindingLine from './FindingLine.vue'

export interface SwitchCardProps {
  row: SwitchRowView
  rig: RigData
  handle: RigHandle
}
const props = defineProps<SwitchCardProps>()

type Entry = Record<string, unknown>
type WindowEntry = { name: string; channel: number; lo: number; hi: number; wanted?: number[] }
const { word, shown } = useUnits(() => props.rig.review.units)
const settings = computed(() => props.rig.document.settings)
const handsetSwitches = computed(() => props.rig.review.switches.handset_switches)
const newName = ref('')
const isOpen = ref(false)

function put(changes: Entry, text: string): void {
  const entries = [...((settings.value.switches as Entry[] | undefined) ?? [])]
  const changed: Entry = { ...entries[props.row.position], ...changes }
  for (const [key, value] of Object.entries(changed)) if (value === undefined) Reflect.deleteProperty(changed, key)
  entries[props.row.position] = changed
  void props.handle.change({ text, set: { 'settings.switches': entries } })
}

function remove(): void {
  const entries = ((settings.value.switches as Entry[] | undefined) ?? []).filter((_, k) => k !== props.row.position)
  void props.handle.change({ text: `${props.row.function} is off its switch`, set: { 'settings.switches': entries } })
}

function number(key: 'weight' | 'offset', event: Event): void {
  const field = event.target as HTMLInputElement
  const value = numberFrom(field.value, props.row[key], true)
  if (value === null || Math.abs(value) > 1000) field.value = String(props.row[key])
  else put({ [key]: value }, `${props.row.function}: ${key} ${value} %`)
}

function curve(event: Event): void {
  const field = event.target as HTMLInputElement
  const values = field.value.trim() === '' ? [] : field.value.split(/[\s;/]+/).map((part) => numberFrom(part, null, true))
  if (values.includes(null) || values.length === 1 || values.length > 12) field.value = (props.row.curve ?? []).join(' ')
  else
    put(
      { curve: values.length === 0 ? undefined : values },
      `${props.row.function}: levels ${values.length === 0 ? 'evenly spread' : `${values.join(', ')} %`}`,
    )
}

function putWindows(windows: WindowEntry[], text: string): void {
  void props.handle.change({ text, set: { 'settings.windows': windows } })
}

const windows = (): WindowEntry[] => [...((settings.value.windows as WindowEntry[] | undefined) ?? [])]

function edge(window: SwitchWindowView, key: 'lo' | 'hi', event: Event): void {
  const field = event.target as HTMLInputElement
  const value = numberFrom(field.value, window[key])
  const other = key === 'lo' ? window.hi : window.lo
  if (value === null || value <= 0 || value > 5000 || (key === 'lo' ? value >= other : value <= other)) {
    field.value = String(window[key])
    return
  }
  const list = windows()
  list[window.position] = { ...(list[window.position] as WindowEntry), [key]: value }
  putWindows(list, `Window ${window.name}: ${key === 'lo' ? 'from' : 'to'} ${value} µs`)
}

function want(window: SwitchWindowView, position: number, event: Event): void {
  const wanted = (event.target as HTMLInputElement).checked ? [...window.wanted, position].sort() : window.wanted.filter((one) => one !== position)
  const list = windows()
  list[window.position] = { ...(list[window.position] as WindowEntry), wanted }
  putWindows(list, `Window ${window.name}: position ${wanted.join(', ') || 'none'}`)
}

/** As the finding proposes: the window reaches round its levels with room. */
function mend(window: SwitchWindowView): void {
  const list = windows()
  list[window.position] = { ...(list[window.position] as WindowEntry), ...window.widened }
  putWindows(list, `Window ${window.name} reaches from ${window.widened.lo} to ${window.widened.hi} µs`)
}

function addWindow(): void {
  const name = newName.value.trim() || props.row.function
  const top = props.row.levels[props.row.levels.length - 1]
  if (!top) return
  putWindows(
    [
      ...windows(),
      { name, channel: props.row.channel, lo: Math.round(top.us - 200), hi: Math.min(2150, Math.round(top.us + 100)), wanted: [top.position] },
    ],
    `Window ${name} on channel ${props.row.channel}`,
  )
  newName.value = ''
}

function removeWindow(window: SwitchWindowView): void {
  putWindows(
    windows().filter((_, k) => k !== window.position),
    `Window ${window.name} removed`,
  )
}

const misses = (window: SwitchWindowView) => window.findings.some((finding) => finding.code === 'S1')
const positionWord = (position: number) =>
  props.row.is_slider ? (['low end', 'middle', 'high end'][position - 1] ?? String(position)) : String(position)
</script>

<template>
  <section class="card" :aria-label="`Switch for ${row.function}`">
    <header>
      <h3>{{ row.function }}</h3>
      <label
        >on
        <select
          class="field"
          :value="row.switch ?? ''"
          :aria-label="`Switch for ${row.function}`"
          @change="
            put(
              { switch: ($event.target as HTMLSelectElement).value || undefined },
              `${row.function} on switch ${($event.target as HTMLSelectElement).value || 'not said'}`,
            )
          "
        >
          <option value="">choose a switch</option>
          <option v-for="entry in handsetSwitches" :key="entry.id" :value="entry.id">
            {{ entry.id }}: {{ entry.positions === null ? 'slider' : `${entry.positions} positions` }}{{ entry.spring ? ', springs back' : '' }}
          </option>
        </select></label
      >
      <span class="muted"
        >channel <b class="value">{{ row.channel }}</b>; {{ row.handset_says }} on the handset, {{ row.controller_says }} at the controller</span
      >
      <button type="button" class="link-button small" :aria-expanded="isOpen" @click="isOpen = !isOpen">levels</button>
      <button type="button" class="link-button small" :aria-label="`Remove ${row.function}`" @click="remove">remove</button>
    </header>
    <div class="body">
      <TravelRuler
        :levels="row.levels"
        :windows="row.windows.map((window) => ({ name: window.name, lo: window.lo, hi: window.hi, ok: window.ok }))"
        :label="`${row.function}: ${row.levels.map((level) => `position ${level.position} ${figure(level.us)} µs`).join(', ')}`"
      />
      <table class="levels">
        <tbody>
          <tr v-for="level in row.levels" :key="level.position">
            <td>{{ positionWord(level.position) }}</td>
            <td class="value">{{ shown(level.us) }} {{ word }}</td>
            <td class="muted">
              {{
                row.windows
                  .filter((window) => window.inside.includes(level.position))
                  .map((window) => window.name)
                  .join(', ') || (row.windows.length > 0 ? 'in no window' : '')
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="isOpen" class="shape">
      <label>Weight, % <input class="field value" :value="row.weight" maxlength="7" inputmode="decimal" @change="number('weight', $event)" /></label>
      <label>Offset, % <input class="field value" :value="row.offset" maxlength="7" inputmode="decimal" @change="number('offset', $event)" /></label>
      <label
        >Level of each position, %
        <input class="field value wide" :value="(row.curve ?? []).join(' ')" maxlength="60" placeholder="evenly spread" @change="curve"
      /></label>
      <label
        >At power-up
        <select
          class="field"
          :value="row.power_up"
          @change="
            put(
              { power_up: Number(($event.target as HTMLSelectElement).value) },
              `${row.function}: position ${($event.target as HTMLSelectElement).value} at power-up`,
            )
          "
        >
          <option v-for="level in row.levels" :key="level.position" :value="level.position">position {{ level.position }}</option>
        </select></label
      >
    </div>
    <table v-if="row.windows.length > 0" class="windows">
      <thead>
        <tr>
          <th scope="col">window in the controller</th>
          <th scope="col">from, µs</th>
          <th scope="col">to, µs</th>
          <th scope="col">should hold position</th>
          <th scope="col"><span class="sr-only">remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="window in row.windows" :key="window.position">
          <td>
            <b>{{ window.name }}</b> <span :class="window.ok ? 'muted' : 'miss'">{{ window.ok ? 'fits' : 'does not fit' }}</span>
          </td>
          <td>
            <input
              class="field value edge"
              :value="window.lo"
              :aria-label="`${window.name}, from`"
              maxlength="6"
              inputmode="decimal"
              @change="edge(window, 'lo', $event)"
            />
          </td>
          <td>
            <input
              class="field value edge"
              :value="window.hi"
              :aria-label="`${window.name}, to`"
              maxlength="6"
              inputmode="decimal"
              @change="edge(window, 'hi', $event)"
            />
          </td>
          <td class="wants">
            <label v-for="level in row.levels" :key="level.position"
              ><input
                type="checkbox"
                :checked="window.wanted.includes(level.position)"
                :aria-label="`${window.name} holds position ${level.position}`"
                @change="want(window, level.position, $event)"
              />
              {{ level.position }}</label
            >
          </td>
          <td>
            <button type="button" class="link-button small" :aria-label="`Remove window ${window.name}`" @click="removeWindow(window)">remove</button>
          </td>
        </tr>
      </tbody>
    </table>
    <template v-for="window in row.windows" :key="`f${window.position}`">
      <div v-for="finding in window.findings" :key="finding.code + finding.message" class="finding-row">
        <FindingLine :finding="finding" />
        <a-button v-if="finding.code === 'S1' && misses(window)" size="small" :aria-label="`Widen ${window.name}`" @click="mend(window)"
          >Widen it</a-button
        >
      </div>
    </template>
    <form v-if="rig.review.switches.controller" class="new" @submit.prevent="addWindow">
      <input
        v-model="newName"
        class="field"
        :aria-label="`New window for ${row.function}`"
        :placeholder="row.windows.length === 0 ? row.function : 'another window'"
        maxlength="60"
      />
      <a-button size="small" html-type="submit">Add a window</a-button>
    </form>
  </section>
</template>

<style scoped>
.card {
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 0.7rem 0.9rem;
  margin-top: 0.8rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 1rem;
}
header h3 {
  font-size: 1.08rem;
}
header h3::first-letter {
  text-transform: uppercase;
}
header .muted {
  flex: 1;
  font-size: 0.9rem;
}
.body {
  display: grid;
  grid-template-columns: minmax(180px, 300px) 1fr;
  gap: 1.2rem;
  align-items: center;
  margin-top: 0.4rem;
}
.levels td {
  border: 0;
  padding: 0.1rem 0.9rem 0.1rem 0;
}
.levels td:first-child {
  width: 5.5rem;
  white-space: nowrap;
  font-weight: 600;
}
.levels td.value {
  width: 7rem;
  font-size: 1.02rem;
}
.shape {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1rem;
  margin: 0.5rem 0;
}
.shape label {
  display: flex;
  flex-direction: column;
  font-size: 0.88rem;
}
.shape .field {
  width: 6rem;
}
.shape .wide,
.shape select.field {
  width: 10rem;
}
.windows td {
  vertical-align: middle;
}
.edge {
  width: 5.2rem;
  min-height: 32px;
  text-align: right;
}
.wants label {
  margin-right: 0.7rem;
  white-space: nowrap;
}
.wants input {
  width: 18px;
  height: 18px;
  vertical-align: -4px;
}
.miss {
  color: var(--amber-text);
  font-weight: 600;
}
.finding-row {
  display: flex;
  align-items: center;
  gap: 0.8rem;
}
.finding-row > :first-child {
  flex: 1;
}
.new {
  display: flex;
  gap: 0.5rem;
  margin-top: 0.6rem;
}
.new .field {
  min-height: 32px;
}
@media (max-width: 700px) {
  .body {
    grid-template-columns: 1fr;
  }
  .windows thead {
    display: none;
  }
  .windows tr {
    display: flex;
    flex-wrap: wrap;
    gap: 0.3rem 0.6rem;
    border-bottom: 1px solid var(--line);
    padding: 0.4rem 0;
  }
  .windows td {
    border: 0;
    padding: 0;
  }
  .windows td:first-child {
    width: 100%;
  }
}
</style>
