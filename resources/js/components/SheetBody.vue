<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { SheetSection, WireView } from '@/api/rigs'
import { WholeText } from './WholeText'
import WireDrawing from './WireDrawing.vue'

export interface SheetBodyProps {
  sections: SheetSection[]
  /** Given: wires are drawn instead of listed. */
  wires?: WireView[]
  /** Of its headings: the sheet on its own page stands right under the name. */
  level?: 'h2' | 'h3'
}
const props = withDefaults(defineProps<SheetBodyProps>(), { wires: undefined, level: 'h3' })

const flat = computed(() => new Map(props.sections.flatMap((section) => section.rows.map((row) => [row.key, `${row.value}|${row.state}`] as const))))
const drawn = (section: SheetSection) => props.wires?.find((wire) => wire.from === section.wire && wire.kind !== 'bay')
const fresh = ref(new Set<string>())
const FRESH_MS = 2600
const fade = useTimeoutFn(() => (fresh.value = new Set()), FRESH_MS, { immediate: false })

// Lines that have just changed light up for a moment.
watch(flat, (now, before) => {
  const changed = [...now].filter(([key, value]) => before.get(key) !== value).map(([key]) => key)
  if (changed.length === 0 || before.size === 0) return
  fresh.value = new Set(changed)
  fade.start()
})

const WORDS = { known: '', open: 'open: ', attention: 'look: ' } as const
</script>

<template>
  <p v-if="sections.length === 0" class="muted">The sheet fills in as the chain becomes known.</p>
  <section v-for="section in sections" :key="section.title" class="part">
    <component :is="level" class="part-title">{{ section.title }}</component>
    <WireDrawing v-if="drawn(section)" :wire="drawn(section)!" />
    <dl v-else>
      <div v-for="row in section.rows" :key="row.key" :class="[row.state, { fresh: fresh.has(row.key), numbered: /^\d$/.test(row.label) }]">
        <dt>{{ row.label }}</dt>
        <dd>
          <span v-if="row.state === 'open'" class="box" aria-hidden="true"></span
          ><span v-if="WORDS[row.state]" class="sr-only">{{ WORDS[row.state] }}</span
          ><WholeText :text="row.value" />
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.part {
  margin-top: 0.9rem;
  break-inside: avoid;
}
.part-title {
  border-bottom: 1px solid var(--line);
  padding-bottom: 0.15rem;
  margin-bottom: 0.2rem;
}
dl > div {
  display: grid;
  grid-template-columns: 8.2rem 1fr;
  gap: 0.6rem;
  padding: 0.12rem 0;
  line-height: 1.35;
  font-size: 0.92rem;
  transition: background 0.6s;
}
dl > .numbered {
  grid-template-columns: 1.2rem 1fr;
}
dt {
  color: var(--muted);
}
.open dd {
  color: var(--amber-text);
}
.attention dd {
  color: var(--amber-text);
  font-weight: 600;
}
.box {
  display: inline-block;
  width: 0.75em;
  height: 0.75em;
  border: 1.5px solid currentcolor;
  margin-right: 0.45em;
  vertical-align: -0.05em;
}
.fresh {
  background: var(--amber-fill);
}
@media print {
  .part {
    margin-top: 0.6rem;
  }
  dl > div {
    padding: 0.04rem 0;
    line-height: 1.25;
  }
}
</style>
