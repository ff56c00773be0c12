<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import { deskQuery } from '@/api/captures'
import type { RigSymptoms } from '@/api/rigs'

/** A capture from the desk, made at the output of the craft's receiver, as evidence. */
const props = defineProps<{ slug: string }>()
const emit = defineEmits<{ tell: [test: string, outcome: string, from: string] }>()
const desk = useQuery(deskQuery)
const chosen = ref('')
const said = ref('')
const isReading = ref(false)

async function read(): Promise<void> {
  isReading.value = true
  try {
    const answer = await postJson<{ symptoms: RigSymptoms['symptoms'] }>(`/rigs/${props.slug}/symptoms/capture`, { capture: Number(chosen.value) })
    for (const one of answer.symptoms) emit('tell', one.test, one.outcome, one.from)
    said.value = answer.symptoms.map((one) => one.from).join(' ') || 'It answers no test.'
  } catch (error) {
    said.value = sentenceOf(error)
  } finally {
    isReading.value = false
  }
}
</script>

<template>
  <form v-if="(desk.data.value?.captures ?? []).length > 0" class="capture small" @submit.prevent="read">
    <label
      >A capture at the receiver’s output
      <PickField v-model="chosen" :options="choicesOf(desk.data.value?.captures ?? [], 'id', 'name', 'choose one from the desk')"
    /></label>
    <ActButton html-type="submit" size="small" :disabled="chosen === '' || isReading">Take as evidence</ActButton>
    <span v-if="said" class="muted" role="status">{{ said }}</span>
  </form>
</template>

<style scoped>
.capture {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 0.8rem;
  align-items: center;
  margin: 0.8rem 0;
}
.capture label {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: center;
}
</style>
