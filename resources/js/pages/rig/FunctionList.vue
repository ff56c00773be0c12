<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'

export interface FunctionListProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<FunctionListProps>()

const functions = computed(() => props.rig.review.craft.functions ?? [])
const fresh = ref('')
const channel = ref('')
const problem = ref('')
const SUGGESTED = ['aileron', 'elevator', 'throttle', 'rudder', 'flap', 'gear', 'arm', 'mode', 'gain', 'camera', 'buzzer']

function write(list: { function: string; channel: number }[], text: string): void {
  void props.handle.change({ text, set: { 'craft.functions': [...list].sort((a, b) => a.channel - b.channel) } })
}

function add(): void {
  const name = fresh.value.trim().toLowerCase().replace(/\s+/g, '_')
  const number = Number(channel.value)
  problem.value = !/^[a-z][a-z0-9_]{0,31}$/.test(name)
    ? 'A function has a name in small letters, such as flap.'
    : !Number.isInteger(number) || number < 1 || number > 32
      ? 'A channel is a whole number from 1 to 32.'
      : ''
  if (problem.value !== '') return
  write([...functions.value.filter((entry) => entry.function !== name), { function: name, channel: number }], `Channel ${number} carries ${name}`)
  fresh.value = ''
  channel.value = ''
}

function remove(name: string): void {
  write(
    functions.value.filter((entry) => entry.function !== name),
    `${name} no longer has a channel`,
  )
}
</script>

<template>
  <fieldset>
    <legend>What rides on which handset channel</legend>
    <ul class="plain-list">
      <li v-for="entry in functions" :key="entry.function">
        <b class="value">{{ entry.channel }}</b> {{ entry.function
        }}<span v-if="entry.channel > 4" class="muted small"> (auxiliary {{ entry.channel - 4 }})</span>
        <button type="button" class="link-button small remove" :aria-label="`Remove ${entry.function}`" @click="remove(entry.function)">
          remove
        </button>
      </li>
      <li v-if="functions.length === 0" class="muted">Not told yet. Reserved channels can only be pointed out.</li>
    </ul>
    <div class="add">
      <input
        v-model="fresh"
        class="field"
        list="function-names"
        aria-label="Function"
        placeholder="function"
        maxlength="32"
        @keydown.enter.prevent="add"
      />
      <datalist id="function-names"><option v-for="name in SUGGESTED" :key="name" :value="name" /></datalist>
      <input
        v-model="channel"
        class="field value channel"
        aria-label="Its channel"
        placeholder="ch"
        inputmode="numeric"
        maxlength="2"
        @keydown.enter.prevent="add"
      />
      <a-button @click="add">Add</a-button>
      <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
  color: var(--petrol);
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.4rem;
}
.add {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  margin-top: 0.3rem;
  flex-wrap: wrap;
}
.add .field {
  width: 9rem;
}
.add .channel {
  width: 4rem;
}
.remove {
  margin-left: 0.5rem;
}
.problem {
  color: var(--stop);
}
</style>
