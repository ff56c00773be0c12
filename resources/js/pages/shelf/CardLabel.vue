<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { choicesQuery } from '@/api/choices'
import type { CardDocument } from '@/api/shelf'
import { KINDS } from '@/api/shelf'
import { type Entry, getAt, isEntry } from './cardPaths'
import { CHAPTERS, type Field } from './fields'

export interface CardLabelProps {
  card: CardDocument
}
const props = defineProps<CardLabelProps>()

const choices = useQuery(choicesQuery)
const formatName = (id: string) => choices.data.value?.wire_formats.find((one) => one.key === id)?.title ?? id
/** Its family is said once, before the first of its variants. */
function protocols(items: Entry[]): string {
  return items
    .map((item, k) => {
      const variant = typeof item.variant === 'string' ? item.variant : 'variant not known'
      if (item.family === items[k - 1]?.family) return `, ${variant}`
      return `${k === 0 ? '' : '; '}${String(item.family ?? 'family not known')}: ${variant}`
    })
    .join('')
}

function said(field: Field, entry: Entry): string | null {
  const value = getAt(entry, field.key)
  if (value === undefined || value === null || (Array.isArray(value) && value.length === 0)) return null
  if (field.type === 'list' && Array.isArray(value)) {
    const items = value as unknown[]
    if (items.every((item) => isEntry(item) && 'family' in item)) return protocols(items as Entry[])
    return items
      .map((item) =>
        !isEntry(item)
          ? formatName(String(item))
          : typeof item.format === 'string'
            ? formatName(item.format)
            : String(item.function ?? item.id ?? item.channel ?? ''),
      )
      .join(', ')
  }
  const word = (item: unknown) => field.options?.find(([option]) => option === String(item))?.[1] ?? formatName(String(item))
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
