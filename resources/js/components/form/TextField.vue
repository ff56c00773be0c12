<script setup lang="ts">
import { ref, useId } from 'vue'
import { type Save, useDraft } from '@/composables/useDraft'

export interface TextFieldProps {
  /** As the bench has it. */
  value: string
  save: Save<string>
  /** What is wrong with it, in words; empty: it can be meant. What cannot stays, and is marked. */
  wrong?: (text: string) => string
}
const props = defineProps<TextFieldProps>()
defineOptions({ inheritAttrs: false })

const { draft, shown, hold, drop, tell } = useDraft(() => props.value)
const problem = ref('')
const id = useId()

function input(event: Event): void {
  hold((event.target as HTMLInputElement).value)
  problem.value = ''
}

function leave(): void {
  const text = draft.value?.value
  // Nothing was typed, or it is on its way already.
  if (text === undefined || draft.value?.isTold) return
  if (text.trim() === props.value) {
    drop()
    return
  }
  problem.value = props.wrong?.(text) ?? ''
  if (problem.value === '') void tell(() => props.save(text.trim()))
}

function escape(): void {
  drop()
  problem.value = ''
}
</script>

<template>
  <input
    v-bind="$attrs"
    class="field"
    :class="{ wrong: problem !== '' }"
    :value="shown"
    :aria-invalid="problem !== ''"
    :aria-describedby="problem === '' ? undefined : id"
    autocomplete="off"
    @input="input"
    @change="leave"
    @keydown.enter="($event.target as HTMLInputElement).blur()"
    @keydown.esc.stop="escape"
  />
  <small v-if="problem !== ''" :id="id" class="field-problem" role="alert">{{ problem }}</small>
</template>
