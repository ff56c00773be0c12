<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { choicesQuery } from '@/api/choices'
import LabelledField from '@/components/form/LabelledField.vue'
import { portSource } from '@/composables/live/port'
import { hasSerial, serialSource } from '@/composables/live/serial'
import type { LiveSource } from '@/composables/live/source'

/**
 * Where values that are written may come from as they arrive at the reader. The sound input is not among them: how true it reads is not known of
 * somebody's machine, and a dance by ear writes nothing either.
 */
defineEmits<{ choose: [source: LiveSource] }>()

const USUAL_PORT = '4420'
const choices = useQuery(choicesQuery)
const lines = computed(() => choices.data.value?.lines ?? [])
const from = ref<'port' | 'adapter'>('port')
const port = ref(USUAL_PORT)
const line = ref('')
const chosen = computed(() => lines.value.find((one) => one.title === line.value) ?? lines.value[0] ?? null)
const isPort = computed(() => /^\d{1,5}$/.test(port.value.trim()))

function source(): LiveSource | null {
  if (from.value === 'port') return isPort.value ? portSource(Number(port.value)) : null
  return chosen.value === null ? null : serialSource(chosen.value)
}
</script>

<template>
  <form class="picker" @submit.prevent="((found) => found && $emit('choose', found))(source())">
    <LabelledField label="Values from"
      ><select v-model="from" class="field">
        <option value="port">a port of this machine</option>
        <option v-if="hasSerial()" value="adapter">a USB serial adapter</option>
      </select></LabelledField
    >
    <LabelledField v-if="from === 'port'" label="Port"
      ><input v-model="port" class="field port" inputmode="numeric" maxlength="5" :aria-invalid="!isPort"
    /></LabelledField>
    <LabelledField v-if="from === 'adapter'" label="Line"
      ><select v-model="line" class="field">
        <option v-for="one in lines" :key="one.title" :value="one === lines[0] ? '' : one.title">{{ one.title }}</option>
      </select></LabelledField
    >
    <a-button html-type="submit" :disabled="from === 'port' && !isPort"><slot>Listen</slot></a-button>
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
</style>
