<script setup lang="ts">
import { computed } from 'vue'
import type { CardDocument } from '@/api/shelf'
import { KINDS } from '@/api/shelf'
import { type Entry, getAt, isEntry } from './cardPaths'
import { CHAPTERS, type Field } from './fields'

export interface CardLabelProps {
  card: CardDocument
}
const props = defineProps<CardLabelProps>()

function said(field: Field, entry: Entry): string | null {
  const value = getAt(entry, field.key)
  if (value === undefined || value === null || (Array.isArray(value) && value.length === 0)) return null
  if (field.type === 'list' && Array.isArray(value)) {
    return value
      .map((item: unknown) =>
        isEntry(item) ? String(item.variant ?? item.family ?? item.format ?? item.function ?? item.id ?? item.channel ?? '') : String(item),
      )
      .join(', ')
  }
  const word = (item: unknown) => field.options?.find(([option]) => option === String(item))?.[1] ?? String(item)
  return `${Array.isArray(value) ? value.map(word).join(', ') : word(value)}${field.unit ? ` ${field.unit}` : ''}`
}

const lines = computed(() =>
  CHAPTERS[props.card.kind]
    .flatMap((chapter) => chapter.fields.map((field) => ({ what: field.question, said: said(field, props.card) })))
    .filter((line) => line.said !== null),
)
const kind = computed(() => KINDS.find((entry) => entry.kind === props.card.kind)?.one)
</script>

<template>
  <aside class="label" aria-label="The card so far">
    <p class="kind">{{ kind }}</p>
    <p class="name">{{ card.name || 'no name yet' }}</p>
    <dl>
      <div v-for="line in lines" :key="line.what">
        <dt>{{ line.what }}</dt>
        <dd class="value">{{ line.said }}</dd>
      </div>
    </dl>
    <p v-if="lines.length === 0" class="muted small">
      What you enter appears here. Whatever you do not know may stay open; it only narrows what can be promised.
    </p>
  </aside>
</template>

<style scoped>
.label {
  background: var(--card);
  border: 1px solid var(--line);
  border-top: 6px solid var(--petrol-2);
  border-radius: var(--radius);
  padding: 0.8rem 1rem 1rem;
}
.kind {
  color: var(--muted);
  font-size: 0.85rem;
}
.name {
  font-size: 1.2rem;
  font-weight: 600;
  margin-bottom: 0.4rem;
  overflow-wrap: anywhere;
}
dl > div {
  padding: 0.25rem 0;
  border-top: 1px solid var(--line);
}
dt {
  color: var(--muted);
  font-size: 0.82rem;
}
dd {
  overflow-wrap: anywhere;
}
</style>
