<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { ref } from 'vue'
import WordHint from '@/components/WordHint.vue'
import type { SwitchRowView, SwitchWindowView } from '@/api/rigs'
import NumberField from '@/components/form/NumberField.vue'
import TickField from '@/components/form/TickField.vue'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from '@/components/FindingLine.vue'

/** The windows in the controller that this switch is to hit. */
export interface SwitchWindowsProps {
  row: SwitchRowView
  /** Whether there is a controller that has windows. */
  hasController: boolean
  handle: RigHandle
}
const props = defineProps<SwitchWindowsProps>()

const EDGES = { lo: 'from', hi: 'to' } as const
const newName = ref('')

/** Which window is meant, even if another went meanwhile. */
const named = (window: SwitchWindowView) => ({ window: window.name, channel: window.channel, position: window.position })

const edge = (window: SwitchWindowView, key: keyof typeof EDGES) => (us: number | null) =>
  props.handle.intend('set-window', { ...named(window), [key]: us ?? window[key] })

const want = (window: SwitchWindowView, holds: number) => (wanted: boolean) =>
  props.handle.intend('want-position', { ...named(window), holds, wanted })

/** The field is free for the next one at once; what was not taken comes back into it. */
async function add(): Promise<void> {
  const name = newName.value.trim()
  newName.value = ''
  const isTaken = await props.handle.intend('add-window', { function: props.row.function, ...(name === '' ? {} : { name }) })
  if (!isTaken && newName.value === '') newName.value = name
}
</script>

<template>
  <div>
    <table v-if="row.windows.length > 0" class="stacks">
      <thead>
        <tr>
          <th scope="col"><WordHint word="window" /> in the controller</th>
          <th v-for="word in EDGES" :key="word" scope="col">{{ word }}, µs</th>
          <th scope="col">should hold position</th>
          <th scope="col"><span class="sr-only">remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="window in row.windows" :key="window.position">
          <td class="long">
            <b>{{ window.name }}</b> <span :class="window.ok ? 'muted' : 'miss'">{{ window.ok ? 'fits' : 'does not fit' }}</span>
          </td>
          <td v-for="(word, key) in EDGES" :key="key" :data-says="`${word}, µs`">
            <NumberField
              class="edge"
              :value="window[key]"
              :save="edge(window, key)"
              :lowest="1"
              :highest="5000"
              :aria-label="`${window.name}, ${word}`"
              maxlength="6"
            />
          </td>
          <td class="wants" data-says="should hold position">
            <label v-for="level in row.levels" :key="level.position"
              ><TickField
                :value="window.wanted.includes(level.position)"
                :save="want(window, level.position)"
                :aria-label="`${window.name} holds position ${level.position}`"
              />
              {{ level.position }}</label
            >
          </td>
          <td>
            <ActButton kind="link" class="small" :aria-label="`Remove window ${window.name}`" @click="handle.intend('remove-window', named(window))">
              remove
            </ActButton>
          </td>
        </tr>
      </tbody>
    </table>
    <template v-for="window in row.windows" :key="`f${window.position}`">
      <div v-for="finding in window.findings" :key="finding.code + finding.message" class="finding-row">
        <FindingLine :finding="finding" />
        <ActButton
          v-if="finding.code === 'S1'"
          size="small"
          :aria-label="`Widen ${window.name}`"
          @click="handle.intend('widen-window', named(window))"
          >Widen it</ActButton
        >
      </div>
    </template>
    <form v-if="hasController" class="new" @submit.prevent="add">
      <input
        v-model="newName"
        class="field"
        :aria-label="`New window for ${row.function}`"
        :placeholder="row.windows.length === 0 ? row.function : 'another window'"
        maxlength="60"
      />
      <ActButton size="small" html-type="submit">Add a window</ActButton>
    </form>
  </div>
</template>

<style scoped>
:deep(.edge) {
  width: 5.2rem;
  min-height: 32px;
  text-align: right;
}
.wants label {
  margin-right: 0.7rem;
  white-space: nowrap;
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
.new :deep(.field) {
  min-height: 32px;
}
</style>
