<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { computed, ref } from 'vue'
import type { CaptureListed, CaptureOptions } from '@/api/captures'
import { saveFrom, sentenceOf } from '@/api/http'

export interface CaptureExportProps {
  capture: CaptureListed
  options: CaptureOptions
  formats: { id: string; name: string }[]
}
const props = defineProps<CaptureExportProps>()

const format = ref('')
const problem = ref('')
const into = computed(() => [
  { value: '', label: 'its own format' },
  { value: 'ppm', label: 'pulse train' },
  ...choicesOf(props.formats, 'id', 'name'),
])
const isTrain = computed(() => format.value === 'ppm')

async function save(as: string, ending: string): Promise<void> {
  problem.value = ''
  try {
    await saveFrom(
      `/captures/${props.capture.id}/export`,
      { as, options: props.options, ...(format.value === '' ? {} : { format: format.value }) },
      `capture-${props.capture.id}.${ending}`,
    )
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <section aria-labelledby="export-title">
    <h2 id="export-title">Export</h2>
    <p class="row">
      <span>Values:</span>
      <ActButton size="small" @click="save('csv', 'csv')">CSV</ActButton>
      <ActButton size="small" @click="save('json', 'json')">JSON</ActButton>
    </p>
    <p class="row">
      <label>Sent again as <PickField v-model="format" :options="into" /></label>
      <ActButton size="small" @click="save('vcd', 'vcd')">VCD</ActButton>
      <ActButton size="small" @click="save('edges', 'csv')">CSV of changes</ActButton>
      <ActButton v-if="!isTrain" size="small" @click="save('bin', 'bin')">binary</ActButton>
      <ActButton v-if="isTrain" size="small" @click="save('wav', 'wav')">WAV</ActButton>
    </p>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.7rem;
  align-items: center;
  margin-top: 0.4rem;
}
label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
}
</style>
