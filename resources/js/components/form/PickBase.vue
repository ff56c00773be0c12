<script setup lang="ts">
import { computed, ref, useAttrs, useId, watch } from 'vue'
import { ListOf, openLists, useListbox, useOwnAttrs } from '@/composables/useListbox'
import { useLabel } from '@/composables/useTyped'
import { type Choice, likeness } from '@/lib/choice'

/** What PickField and PickMany share: the library's select, with its accessibility mended. Named by the label around it, unless told otherwise. */
export interface PickBaseProps {
  value: string | number | readonly string[]
  options: readonly Choice<string | number>[]
  isMany?: boolean
}
defineOptions({ inheritAttrs: false })
const props = defineProps<PickBaseProps>()
const emit = defineEmits<{ pick: [value: unknown] }>()

/** Letters typed find it, also while the list is closed; a finger gets a keyboard on its screen only from so many on. */
const MANY = 9
const isByHand = !window.matchMedia('(pointer: coarse)').matches
const LONGEST_SHOWN = 36

const attrs = useAttrs()
const root = ref<HTMLElement | null>(null)
const around = useLabel()
const name = computed(() => (attrs['aria-label'] as string | undefined) ?? (around === '' ? undefined : around))
const chosenId = useId()
const chosen = computed(() =>
  props.options
    .filter((one) => (Array.isArray(props.value) ? props.value.includes(one.value) : one.value === props.value))
    .map((one) => one.label)
    .join(', '),
)
/** Wide enough for whatever is picked, so that nothing beside it moves. */
const longest = computed(() =>
  props.options.reduce((widest, one) => (one.label.length > widest.length ? one.label : widest), '').slice(0, LONGEST_SHOWN),
)
const own = useOwnAttrs()
const { listId, activePlace, mark, toggled, roleOf } = useListbox(root, () => ({
  name: name.value,
  describedBy: [chosenId, attrs['aria-describedby']].filter(Boolean).join(' '),
  isWrong: attrs['aria-invalid'] === true || attrs['aria-invalid'] === 'true',
}))
const rows = computed(() => props.options.map((one, k) => ({ value: one.value, label: one.label, disabled: one.isOff === true, ...roleOf(k) })))
const like = (typed: string, row: unknown) => likeness(typed, (row as { label: string }).label) > 0
const nearest = (a: unknown, b: unknown) =>
  likeness(typed.value, (b as { label: string }).label) - likeness(typed.value, (a as { label: string }).label)
const typed = ref('')
function search(text: string): void {
  typed.value = text
  void mark()
}

/** The library forgets what was typed when it closes, and says nothing of it. */
function turn(open: boolean): void {
  if (!open) typed.value = ''
  toggled(open)
}

const hasNone = computed(() => !props.options.some((one) => like(typed.value, one)))

/** Typed and left before there was anything to choose from: it is meant of what comes. */
const early = ref('')
watch(
  () => props.options.length,
  () => {
    const text = early.value
    early.value = ''
    if (text !== '') choose(meantBy(text)[0])
  },
)

/** Those that may be meant by what was typed, the nearest first. */
const meantBy = (text: string) =>
  props.options
    .filter((offered) => offered.isOff !== true && likeness(text, offered.label) > 0)
    .toSorted((a, b) => likeness(text, b.label) - likeness(text, a.label))

function choose(one: Choice<string | number> | undefined): void {
  if (one !== undefined && one.value !== props.value) emit('pick', one.value)
}

/** What was typed as far as it is clear is picked by going on, as in any list of a page. */
function leave(event: KeyboardEvent): void {
  const text = typed.value
  if (event.key !== 'Tab' || text.trim() === '' || props.isMany) return
  typed.value = ''
  if (props.options.length === 0) early.value = text
  const meant = meantBy(text)
  // Hands are faster than a list that opens: what the keys were on before it did is none of these.
  const on = props.options[activePlace()]
  choose(on !== undefined && meant.includes(on) ? on : meant[0])
}
</script>

<template>
  <span ref="root" class="pick" :class="attrs.class" :data-longest="longest" @keydown.capture="leave" @keydown="mark">
    <a-select
      v-bind="own"
      :value="value"
      :mode="isMany ? 'multiple' : undefined"
      :options="rows"
      :show-search="isMany || isByHand || options.length >= MANY"
      :filter-option="like"
      :filter-sort="nearest"
      :virtual="false"
      :dropdown-match-select-width="false"
      :get-popup-container="openLists"
      popup-class-name="pick-list"
      @dropdown-visible-change="turn"
      @search="search"
      @change="(value: unknown) => $emit('pick', value)"
    >
      <template #suffixIcon>
        <svg class="arrow" viewBox="0 0 12 8" aria-hidden="true" focusable="false"><path d="M1.5 1.5 6 6.2 10.5 1.5" /></svg>
      </template>
      <template #notFoundContent>{{ options.length === 0 ? 'There is nothing to choose from.' : 'Nothing is called so.' }}</template>
      <template #dropdownRender="{ menuNode }">
        <div
          :id="listId"
          :role="hasNone ? undefined : 'listbox'"
          :aria-label="hasNone ? undefined : (name ?? 'Choices')"
          :aria-multiselectable="isMany || undefined"
        >
          <ListOf :of="menuNode" />
        </div>
      </template>
    </a-select>
    <span :id="chosenId" class="sr-only">{{ chosen }}</span>
  </span>
</template>

<style scoped>
.pick {
  display: inline-block;
  min-width: min(100%, 7.5rem);
  max-width: 100%;
  position: relative;
  font-size: 0.95rem;
}
.pick::before {
  content: attr(data-longest);
  display: block;
  height: 0;
  min-width: 4rem;
  padding-right: 2.6rem;
  overflow: hidden;
  white-space: nowrap;
  visibility: hidden;
}
.pick :deep(.ant-select) {
  width: 100%;
}
.pick :deep(.arrow) {
  width: 12px;
  height: 8px;
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
