<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import SuggestField from '@/components/form/SuggestField.vue'
import { asChoices } from '@/lib/choice'
import { computed, ref } from 'vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import { channelFrom, functionName, wrongFunctionName } from '@/lib/functionName'

export interface FunctionListProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<FunctionListProps>()

const functions = computed(() => props.rig.review.craft.functions ?? [])
const fresh = ref('')
const channel = ref('')
const problem = ref('')
const SUGGESTED = asChoices(['aileron', 'elevator', 'throttle', 'rudder', 'flap', 'gear', 'arm', 'mode', 'gain', 'camera', 'buzzer'])

/** The fields are free for the next one at once; what was not taken comes back into them. */
async function add(): Promise<void> {
  const name = functionName(fresh.value)
  const number = channelFrom(channel.value)
  problem.value = wrongFunctionName(name) || (number === null ? 'A channel is a whole number from 1 to 32.' : '')
  if (problem.value !== '' || number === null) return
  fresh.value = channel.value = ''
  if (!(await props.handle.intend('put-function', { function: name, channel: number })) && fresh.value === '') {
    fresh.value = name
    channel.value = String(number)
  }
}
</script>

<template>
  <fieldset>
    <legend>What rides on which handset channel</legend>
    <ul class="plain-list">
      <li v-for="entry in functions" :key="entry.function">
        <b class="value">{{ entry.channel }}</b> {{ entry.function
        }}<span v-if="entry.channel > 4" class="muted small"> (auxiliary {{ entry.channel - 4 }})</span>
        <ActButton
          kind="link"
          class="small remove"
          :aria-label="`Remove ${entry.function}`"
          @click="handle.intend('remove-function', { function: entry.function })"
        >
          remove
        </ActButton>
      </li>
      <li v-if="functions.length === 0" class="muted">Not told yet. Reserved channels can only be pointed out.</li>
    </ul>
    <div class="add">
      <SuggestField v-model="fresh" class="name" :offers="SUGGESTED" aria-label="Function" placeholder="function" @enter="add" />
      <input
        v-model="channel"
        class="field value channel"
        aria-label="Its channel"
        placeholder="ch"
        inputmode="numeric"
        maxlength="2"
        @keydown.enter.prevent="add"
      />
      <ActButton @click="add">Add</ActButton>
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
.add .name {
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
