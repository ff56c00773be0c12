<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced, useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { getJson } from '@/api/http'
import { focusOn } from '@/composables/useKeptFocus'

interface Hit {
  kind: 'rig' | 'step' | 'place' | 'word' | 'entry' | 'card' | 'format' | 'family' | 'variant' | 'plug' | 'own_format' | 'capture'
  id: string
  title: string
  line: string
}

const WAIT_MS = 120
const KIND_WORDS: Partial<Record<Hit['kind'], string>> = { rig: 'rig · ', word: 'word · ', entry: 'done · ' }
const router = useRouter()
const input = ref<HTMLInputElement | null>(null)
const text = ref('')
const at = ref(0)
const isOpen = ref(false)

defineExpose({ focus: () => input.value?.focus() })
/** From anywhere, a field too. */
useEventListener(document, 'keydown', (event) => {
  if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey) return
  event.preventDefault()
  input.value?.focus()
  input.value?.select()
})

const asked = refDebounced(text, WAIT_MS)
const found = useQuery({
  queryKey: computed(() => ['search', asked.value] as const),
  queryFn: ({ signal }) => getJson<{ hits: Hit[] }>(`/search?q=${encodeURIComponent(asked.value)}`, signal).catch(() => ({ hits: [] })),
  enabled: computed(() => asked.value.trim() !== '' || isOpen.value),
  placeholderData: keepPreviousData,
  gcTime: 0,
})
const hits = computed(() => found.data.value?.hits ?? [])
/** What is listed belongs to what was typed before. */
const isOld = computed(() => asked.value !== text.value || found.isPlaceholderData.value)
/** Enter was pressed before the list was there: it is taken from the list when it comes. */
const wantsFirst = ref(false)
watch(
  () => [found.data.value, isOld.value],
  () => {
    if (isOld.value || !isOpen.value) return
    // Before anything is typed nothing is chosen yet.
    at.value = text.value.trim() === '' ? -1 : 0
    if (wantsFirst.value) go(hits.value[0])
  },
)
watch(text, () => (wantsFirst.value = false))

function place(hit: Hit): string {
  const [slug, rest] = hit.id.split('/')
  if (hit.kind === 'rig' || hit.kind === 'step') return `/rigs/${hit.id}`
  if (hit.kind === 'place') return hit.id
  if (hit.kind === 'word') return `/words#${encodeURIComponent(hit.id)}`
  if (hit.kind === 'entry') return `/rigs/${slug}/at/${rest}`
  if (hit.kind === 'capture') return `/signals/${hit.id}`
  if (hit.kind === 'own_format') return '/signals/formats'
  return hit.kind === 'card' ? `/shelf/${hit.id}` : `/shelf?names=${encodeURIComponent(`${hit.kind}/${hit.id}`)}`
}

function go(hit: Hit | undefined): void {
  if (hit === undefined) return
  isOpen.value = false
  text.value = ''
  input.value?.blur()
  void router.push(place(hit)).then(async () => {
    await nextTick()
    // Where nothing has taken the focus, the page has it.
    if (document.activeElement === document.body) focusOn(document.getElementById('main'))
  })
}

function enter(): void {
  if (isOld.value) wantsFirst.value = true
  else go(hits.value[at.value])
}

function move(by: number): void {
  if (hits.value.length > 0) at.value = (at.value + by + hits.value.length) % hits.value.length
}

function close(): void {
  isOpen.value = false
  if (before instanceof HTMLElement && before.isConnected && before !== document.body) before.focus()
  else input.value?.blur()
}

/** Where the hand was before it searched. */
let before: EventTarget | null = null
function open(event: FocusEvent): void {
  before = event.relatedTarget
  isOpen.value = true
}
</script>

<template>
  <div class="search" role="search">
    <input
      ref="input"
      v-model="text"
      type="search"
      role="combobox"
      aria-label="Find anything"
      aria-controls="search-hits"
      aria-autocomplete="list"
      :aria-expanded="isOpen"
      :aria-activedescendant="isOpen && hits[at] ? `hit-${at}` : undefined"
      placeholder="Find anything  /"
      autocomplete="off"
      @focus="open"
      @input="isOpen = true"
      @blur="isOpen = false"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="enter"
      @keydown.esc="close"
    />
    <ul v-show="isOpen && found.data.value !== undefined" id="search-hits" role="listbox" aria-label="Found">
      <li v-if="hits.length === 0" role="option" aria-selected="false" class="none">
        Nothing is called that. Try what is printed on the box, or line numbers such as 100000 8E2.
      </li>
      <li
        v-for="(hit, k) in hits"
        :id="`hit-${k}`"
        :key="`${hit.kind}/${hit.id}`"
        role="option"
        :aria-selected="k === at"
        :class="{ at: k === at }"
        @mousedown.prevent="go(hit)"
      >
        <strong>{{ hit.title }}</strong>
        <span>{{ KIND_WORDS[hit.kind] ?? '' }}{{ hit.line }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.search {
  position: relative;
  width: 240px;
}
input {
  width: 100%;
  background: transparent;
  border: 1px solid var(--head-line);
  border-radius: var(--radius);
  color: var(--head-ink);
  padding: 0.25rem 0.7rem;
}
input::placeholder {
  color: var(--head-ink);
  opacity: 0.85;
}
ul {
  position: absolute;
  right: 0;
  top: calc(100% + 6px);
  width: min(480px, 92vw);
  max-height: 60vh;
  overflow: auto;
  margin: 0;
  padding: 0.3rem;
  list-style: none;
  background: var(--card);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  box-shadow: 0 6px 22px rgb(0 0 0 / 18%);
  z-index: 12;
}
li {
  padding: 0.4rem 0.6rem;
  border-radius: 3px;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  line-height: 1.3;
}
li span {
  color: var(--muted);
  font-size: 0.88rem;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}
li.at {
  background: var(--wash);
}
li.none {
  cursor: default;
  color: var(--muted);
}
@media (max-width: 900px) {
  .search {
    flex: 1 1 6rem;
    width: auto;
  }
  input {
    min-height: 40px;
  }
}
</style>
