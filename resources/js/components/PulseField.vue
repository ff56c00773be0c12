<script setup lang="ts">
import { computed, ref } from 'vue'
import { pulseFrom } from '@/lib/numberText'
import type { UnitMap } from '@/api/rigs'
import { useUnits } from '@/composables/useUnits'

export interface PulseFieldProps {
  /** µs; null: nothing there. */
  value: number | null
  label: string
  units: UnitMap
  isWrong?: boolean
  placeholder?: string
}
const props = defineProps<PulseFieldProps>()
const emit = defineEmits<{ change: [us: number | null]; next: []; paste: [text: string] }>()

defineOptions({ inheritAttrs: false })

const { unit, shown, word } = useUnits(() => props.units)
const typed = ref<string | null>(null)
/** While it is being typed it is not finished, and nothing is said of it. */
const hasLeft = ref(false)
const text = computed(() => typed.value ?? (props.value === null ? '' : shown(props.value)))
const isUnread = computed(
  () => typed.value !== null && typed.value.trim() !== '' && pulseFrom(typed.value, props.value, unit.value, props.units) === null,
)

/** `+3` and `97.7%` are only taken when the field is left: while typing they are not finished. */
function input(event: Event): void {
  typed.value = (event.target as HTMLInputElement).value
  hasLeft.value = false
  if (/^\s*\d+([.,]\d+)?\s*$/.test(typed.value)) emit('change', pulseFrom(typed.value, props.value, unit.value, props.units))
}

function leave(): void {
  if (typed.value === null) return
  hasLeft.value = true
  const value = typed.value.trim() === '' ? null : pulseFrom(typed.value, props.value, unit.value, props.units)
  if (value !== null || typed.value.trim() === '') {
    emit('change', value === null ? null : Math.round(value * 1000) / 1000)
    typed.value = null
  }
}

function enter(): void {
  leave()
  emit('next')
}

function paste(event: ClipboardEvent): void {
  const clip = event.clipboardData?.getData('text') ?? ''
  if (!/[\t\n;]|\s\d/.test(clip.trim())) return
  event.preventDefault()
  typed.value = null
  emit('paste', clip)
}
</script>

<template>
  <input
    v-bind="$attrs"
    class="field value pulse"
    :class="{ wrong: isWrong || isUnread }"
    :value="text"
    :aria-label="label"
    :aria-invalid="isWrong || isUnread"
    :placeholder="placeholder"
    inputmode="text"
    autocomplete="off"
    maxlength="12"
    @input="input"
    @blur="leave"
    @keydown.enter.prevent="enter"
    @paste="paste"
    @focus="($event.target as HTMLInputElement).select()"
  />
  <small v-if="isUnread && hasLeft" class="field-problem" role="alert"
    >Found “{{ typed }}”; expected a number like 1085, +3 or 97.7 %{{ value === null ? '.' : `. It stays ${shown(value)} ${word}.` }}</small
  >
</template>

<style scoped>
.pulse {
  width: 4.9rem;
  text-align: right;
  font-size: 1.02rem;
}
.wrong {
  border-color: var(--stop);
  background: var(--stop-fill);
}
</style>
