<script setup lang="ts">
import { ref } from 'vue'
import { type Save, useDraft } from '@/composables/useDraft'

export interface TextFieldProps {
  /** As the bench has it. */
  value: string
  save: Save<string>
  /** Says whether it can be meant; what cannot stays, and is marked. */
  reads?: (text: string) => boolean
}
const props = defineProps<TextFieldProps>()

const { draft, shown, hold, drop, tell } = useDraft(() => props.value)
const isWrong = ref(false)

function input(event: Event): void {
  hold((event.target as HTMLInputElement).value)
  isWrong.value = false
}

function leave(): void {
  const text = draft.value?.value
  // Nothing was typed, or it is on its way already.
  if (text === undefined || draft.value?.isTold) return
  if (text.trim() === props.value) drop()
  else if (props.reads && !props.reads(text)) isWrong.value = true
  else void tell(() => props.save(text.trim()))
}

function escape(): void {
  drop()
  isWrong.value = false
}
</script>

<template>
  <input
    class="field"
    :class="{ wrong: isWrong }"
    :value="shown"
    :aria-invalid="isWrong"
    autocomplete="off"
    @input="input"
    @change="leave"
    @keydown.enter="($event.target as HTMLInputElement).blur()"
    @keydown.esc.stop="escape"
  />
</template>
