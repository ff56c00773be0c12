<script setup lang="ts">
import dayjs from 'dayjs'
import updateLocale from 'dayjs/plugin/updateLocale'
import { computed, nextTick, ref, useId, watch } from 'vue'
import { openLists } from '@/composables/useListbox'
import { dayAsTyped, dayPattern, weekStart } from '@/lib/dates'

/** A day, typed or picked, written as this browser writes days; "2026-11-03" or '' outside. */
export interface DayFieldProps {
  modelValue: string
}
const props = defineProps<DayFieldProps>()
const emit = defineEmits<{ 'update:modelValue': [day: string] }>()

// The library's months ask this for the day that a week begins with.
dayjs.extend(updateLocale)
dayjs.updateLocale('en', { weekStart: weekStart() })

const pattern = dayPattern()
const id = useId()
const hint = computed(() => pattern.toLowerCase())
/** What stood in the field and is no day: the library throws it away, and says nothing. */
const odd = ref('')
let taken = props.modelValue

async function left(event: FocusEvent): Promise<void> {
  const text = (event.target as HTMLInputElement).value
  await nextTick()
  odd.value = text === '' || text === dayAsTyped(taken) ? '' : text
}

function take(day: unknown): void {
  odd.value = ''
  taken = typeof day === 'string' ? day : ''
  emit('update:modelValue', taken)
}
watch(
  () => props.modelValue,
  (day) => (taken = day),
)
const STEPS = [
  ['superPrevIcon', 'a year back', '«'],
  ['prevIcon', 'a month back', '‹'],
  ['nextIcon', 'a month on', '›'],
  ['superNextIcon', 'a year on', '»'],
] as const
</script>

<template>
  <!-- Tab goes on to the next field, as everywhere: the library would hold it back for its months. -->
  <span class="day" @keydown.tab.capture.stop @blur.capture="left">
    <a-date-picker
      :id="id"
      class="day-field"
      :value="modelValue === '' ? undefined : modelValue"
      :format="pattern"
      value-format="YYYY-MM-DD"
      :placeholder="hint"
      :show-today="false"
      :status="odd === '' ? '' : 'error'"
      :get-popup-container="openLists"
      @change="take"
    >
      <template v-for="[slot, says, sign] in STEPS" #[slot] :key="slot">
        <span aria-hidden="true">{{ sign }}</span><span class="sr-only">{{ says }}</span>
      </template>
      <template #suffixIcon>
        <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden="true" focusable="false"><path d="M2 4H14V14H2ZM2 7H14M5 2V5M11 2V5" /></svg>
      </template>
    </a-date-picker>
  </span>
  <span v-if="odd !== ''" class="field-problem" role="alert">Found “{{ odd }}”; expected a day like {{ hint }}.</span>
</template>

<style scoped>
.day {
  display: inline-block;
}
.day-field {
  width: 100%;
  min-width: 9.5rem;
}
@media (max-width: 700px) {
  .day-field {
    min-height: 44px;
  }
}
svg {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.3;
}
</style>
