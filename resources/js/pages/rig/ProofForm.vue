<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import LabelledField from '@/components/form/LabelledField.vue'
import { useWho } from '@/composables/useWho'

/** What was seen, and by whom; nothing counts as proven without both. What is typed survives a reload. */
export interface ProofFormProps {
  /** What is proven, said to those who cannot see where this stands. */
  title: string
  /** Where what is typed is kept meanwhile. */
  place: string
  save: (passed: boolean, observed: string, by: string) => Promise<boolean>
  /** Whether something must be told of what was seen, may be, or is said by pressing the button. */
  seen?: 'must' | 'may' | 'button'
  passes: string
  fails?: string
  mayPass?: boolean
  /** Who looks is asked once for the whole page, and not here. */
  isCompact?: boolean
}
const props = withDefaults(defineProps<ProofFormProps>(), { seen: 'must', fails: '', mayPass: true })

const AS_WRITTEN = 'exactly as written'
const text = useSessionStorage(`linguator.seen/${props.place}`, '', { flush: 'sync' })
const by = useWho()
const isSending = ref(false)
const lacks = computed(() => {
  if (props.seen === 'must' && text.value.trim() === '') return 'Say what was seen.'
  return by.value.trim() === '' ? 'Say who saw it.' : ''
})

async function made(passed: boolean): Promise<void> {
  if (lacks.value !== '' || isSending.value) return
  isSending.value = true
  const told = text.value
  try {
    if ((await props.save(passed, told.trim(), by.value.trim())) && text.value === told) text.value = ''
  } finally {
    isSending.value = false
  }
}
</script>

<template>
  <div class="proof-form told" role="group" :aria-label="title">
    <LabelledField v-if="seen !== 'button'" :label="isCompact ? '' : 'What was seen'" is-growing
      ><input
        v-model="text"
        class="field"
        maxlength="300"
        :aria-label="`${title}: what was seen`"
        :placeholder="isCompact ? 'what was seen' : ''"
        autocomplete="off"
      />
    </LabelledField>
    <ActButton kind="link" v-if="seen === 'must' && text.trim() === ''" class="as-written" @click="text = AS_WRITTEN"> exactly as written </ActButton>
    <LabelledField v-if="!isCompact" label="By"
      ><input v-model="by" class="field by" maxlength="80" autocomplete="name" :aria-label="`${title}: seen by`"
    /></LabelledField>
    <ActButton :disabled="lacks !== '' || !mayPass" :loading="isSending" :aria-label="`${title}: ${passes}`" @click="made(true)">{{
      passes
    }}</ActButton>
    <ActButton v-if="fails !== ''" :disabled="lacks !== '' || isSending" :aria-label="`${title}: ${fails}`" @click="made(false)">{{
      fails
    }}</ActButton>
    <span v-if="lacks !== '' && (!isCompact || text !== '')" class="muted small lacks">{{ lacks }}</span>
  </div>
</template>

<style scoped src="./toldLine.css"></style>
<style scoped>
.as-written,
.lacks {
  align-self: end;
  min-height: 32px;
  display: flex;
  align-items: center;
}
@media (max-width: 700px) {
  .proof-form :deep(button) {
    min-height: 44px;
  }
}
</style>
