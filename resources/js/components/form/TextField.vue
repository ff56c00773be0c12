<script setup lang="ts">
import { computed, ref, useAttrs, useId, watch } from 'vue'
import { type Save, useDraft } from '@/composables/useDraft'
import { useTyped } from '@/composables/useTyped'
import type { Choice } from '@/lib/choice'
import SuggestField from './SuggestField.vue'

export interface TextFieldProps {
  /** As the bench has it. */
  value: string
  save: Save<string>
  /** What is wrong with it, in words; empty: it can be meant. What cannot stays, and is marked. */
  wrong?: (text: string) => string
  /** What is put in may speak of what stands there (three less): what it comes to, for a page that does not know whether that was taken yet. */
  meant?: (text: string) => string
  /** By which it is known again after a reload, where neither label nor accessible name tells it apart. */
  keepAs?: string
  /** What is usual there, offered while it is typed; it may come later than the field. */
  offers?: readonly Choice[]
}
const props = defineProps<TextFieldProps>()
defineOptions({ inheritAttrs: false })

const { draft, shown, hold, drop, tell } = useDraft(() => props.value)
const problem = ref('')
const id = useId()
const attrs = useAttrs()
const typed = useTyped(() => props.keepAs ?? (attrs['aria-label'] as string | undefined))
const before = typed.takeUp()
/** What the hand has put in since the field was left last, now or before a reload: it goes once the field is left, and no more than once. */
const fresh = ref<'nothing' | 'now' | 'earlier'>('nothing')
if (before !== null && before !== props.value) {
  fresh.value = 'earlier'
  hold(before)
  typed.keep(before)
}

function input(text: string): void {
  fresh.value = 'now'
  hold(text)
  typed.keep(text)
  problem.value = ''
}

function leave(): void {
  const text = draft.value?.value
  if (text === undefined || fresh.value === 'nothing') return
  fresh.value = 'nothing'
  if (text.trim() === props.value) {
    typed.forget()
    drop()
    return
  }
  problem.value = props.wrong?.(text) ?? ''
  if (problem.value === '') void send(text)
}

/** The page before this one had told it: it is kept by now. */
watch(
  () => props.value,
  (value) => {
    if (fresh.value === 'earlier' && draft.value?.value.trim() === value) escape()
  },
)

/** What was not taken stays in the field, and is there again after a reload. */
async function send(text: string): Promise<void> {
  typed.keep(props.meant?.(text) ?? text)
  const isTaken = await tell(() => props.save(text.trim()))
  if (isTaken && draft.value === null) typed.forget()
}

function escape(): void {
  fresh.value = 'nothing'
  typed.forget()
  drop()
  problem.value = ''
}
const isSaying = computed(() => problem.value !== '' || fresh.value === 'earlier')
</script>

<template>
  <SuggestField
    v-if="offers !== undefined"
    v-bind="$attrs"
    :model-value="shown"
    :offers="offers"
    :aria-invalid="problem !== ''"
    :aria-describedby="isSaying ? id : undefined"
    @update:model-value="input"
    @done="leave"
    @enter="leave"
    @escape="escape"
  />
  <input
    v-else
    v-bind="$attrs"
    class="field"
    :class="{ wrong: problem !== '' }"
    :value="shown"
    :aria-invalid="problem !== ''"
    :aria-describedby="isSaying ? id : undefined"
    autocomplete="off"
    @input="input(($event.target as HTMLInputElement).value)"
    @change="leave"
    @blur="leave"
    @keydown.enter="($event.target as HTMLInputElement).blur()"
    @keydown.esc.stop="escape"
  />
  <small v-if="problem !== ''" :id="id" class="field-problem" role="alert">{{ problem }}</small>
  <small v-else-if="fresh === 'earlier'" :id="id" class="field-waits">Typed earlier, not kept yet.</small>
</template>
