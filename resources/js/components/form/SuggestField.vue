<script setup lang="ts">
import { computed, ref, useAttrs, watch } from 'vue'
import { ListOf, openLists, useListbox, useOwnAttrs } from '@/composables/useListbox'
import { type Choice, likeness } from '@/lib/choice'

/** A text of one's own, with what is usual offered while it is typed: nothing has to be picked. */
export interface SuggestFieldProps {
  modelValue: string
  offers: readonly Choice[]
}
defineOptions({ inheritAttrs: false })
const props = defineProps<SuggestFieldProps>()
const emit = defineEmits<{
  'update:modelValue': [text: string]
  /** One of the offers was picked, or the field was left. */
  done: []
  /** Enter that picks nothing; a form around it is sent besides. */
  enter: []
  /** Escape that closes nothing. */
  escape: []
}>()

const attrs = useAttrs()
const root = ref<HTMLElement | null>(null)
/** Somebody types or asks for what is usual. */
const isAsked = ref(false)
const { listId, activePlace, mark, toggled, roleOf } = useListbox(root, () => ({
  name: attrs['aria-label'] as string | undefined,
  describedBy: attrs['aria-describedby'] as string | undefined,
  isWrong: attrs['aria-invalid'] === true || attrs['aria-invalid'] === 'true',
}))
const own = useOwnAttrs()
const shown = computed(() => props.offers.filter((one) => likeness(props.modelValue, one.label) > 0))
const rows = computed(() => shown.value.map((one, k) => ({ value: one.value, label: one.label, ...roleOf(k) })))

/** It is there to be seen; what is asked for may fit nothing. */
const isShown = computed(() => isAsked.value && rows.value.length > 0)
watch(isShown, toggled)

function turn(open: boolean): void {
  isAsked.value = open
}

function type(text: unknown): void {
  emit('update:modelValue', typeof text === 'string' ? text : '')
}

/**
 * The library says a tenth of a second late that it was left, and nothing at all of a list that closes while it has nothing to show: that one would
 * open over whatever comes next as soon as the field is emptied.
 */
function leave(): void {
  turn(false)
  emit('done')
}

/** What the keys are on is picked by Enter; where that is nothing, or what stands there already, the library is not asked: it would hold a form back. */
function press(event: KeyboardEvent): void {
  const isPicking = isShown.value && shown.value[activePlace()] !== undefined && shown.value[activePlace()]?.value !== props.modelValue
  if (event.key === 'Escape') {
    event.stopPropagation()
    // The library's field is one of those that the browser empties by itself.
    event.preventDefault()
    if (isShown.value) turn(false)
    else emit('escape')
  } else if (event.key === 'Enter' && !isPicking) {
    event.stopPropagation()
    turn(false)
    emit('enter')
  }
}
</script>

<template>
  <span ref="root" class="suggest" :class="attrs.class" @keydown.capture="press" @keydown="mark" @focusout="leave">
    <a-auto-complete
      v-bind="own"
      :value="modelValue"
      :options="rows"
      :open="isShown"
      :default-active-first-option="false"
      :dropdown-match-select-width="false"
      :virtual="false"
      :get-popup-container="openLists"
      popup-class-name="pick-list"
      @update:value="type"
      @select="$emit('done')"
      @dropdown-visible-change="turn"
    >
      <template #dropdownRender="{ menuNode }">
        <div :id="listId" role="listbox" :aria-label="`${(attrs['aria-label'] as string | undefined) ?? 'What'} is usual`">
          <ListOf :of="menuNode" />
        </div>
      </template>
    </a-auto-complete>
  </span>
</template>

<style scoped>
.suggest {
  display: inline-block;
  flex: 1 1 auto;
  max-width: 100%;
}
.suggest :deep(.ant-select) {
  width: 100%;
}
</style>
