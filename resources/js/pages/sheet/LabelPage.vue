<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { getJson, sentenceOf } from '@/api/http'
import type { CraftLabel } from '@/api/rigs'

/** A label for the craft, in the two sizes that label printers take; what is not known has a line to be written on. */
const route = useRoute()
const router = useRouter()
const slug = computed(() => String(route.params.slug))
const label = useQuery({
  queryKey: computed(() => ['label', slug.value] as const),
  queryFn: ({ signal }) => getJson<CraftLabel>(`/rigs/${slug.value}/label`, signal),
})
const SIZES = [
  { key: 'wide', title: '62 × 29 mm' },
  { key: 'long', title: '36 × 89 mm' },
] as const
const size = computed(() => SIZES.find((one) => one.key === route.query.size) ?? SIZES[0])
const print = () => window.print()
</script>

<template>
  <main id="main" class="paper">
    <nav class="tools" aria-label="Label">
      <RouterLink :to="`/rigs/${slug}`">Back to the rig</RouterLink>
      <span role="radiogroup" aria-label="Size" class="sizes">
        <label v-for="one in SIZES" :key="one.key">
          <input type="radio" name="size" :checked="size.key === one.key" @change="router.replace({ query: { size: one.key } })" /> {{ one.title }}
        </label>
      </span>
      <ActButton kind="primary" @click="print">Print</ActButton>
    </nav>
    <p v-if="label.error.value" role="alert">{{ sentenceOf(label.error.value) }}</p>
    <article v-else-if="label.data.value" class="label" :class="size.key">
      <h1>{{ label.data.value.name }}</h1>
      <dl>
        <div v-for="row in label.data.value.rows" :key="row.key" :class="row.state">
          <dt>{{ row.label }}</dt>
          <dd>{{ row.value }}</dd>
        </div>
      </dl>
    </article>
    <p class="muted small tools">
      Printed without margins, on the size chosen. An empty line is to be written on: it is not known, or not tested as it is now.
    </p>
  </main>
</template>

<style scoped>
.paper {
  padding: 1rem 1.5rem;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 1.2rem;
  align-items: center;
  margin-bottom: 1rem;
}
.sizes {
  display: flex;
  gap: 1rem;
}
.label {
  background: #fff;
  color: #000;
  border: 1px dashed var(--line);
  overflow: hidden;
  line-height: 1.15;
  box-sizing: border-box;
  padding: 1.5mm 2mm;
}
.wide {
  width: 62mm;
  height: 29mm;
}
.long {
  width: 36mm;
  height: 89mm;
}
h1 {
  font-size: 13pt;
  margin: 0 0 0.8mm;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.long h1 {
  white-space: normal;
  margin-bottom: 3mm;
}
dl {
  font-size: 9pt;
}
.wide dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.9mm 2mm;
}
dl div {
  display: flex;
  gap: 1mm;
  align-items: baseline;
}
.long dl div {
  margin-bottom: 2.5mm;
  flex-direction: column;
  gap: 0;
}
.long dl {
  font-size: 9pt;
}
dd {
  font-weight: 600;
  min-width: 0;
}
.open dd {
  flex: 1;
  min-width: 10mm;
  border-bottom: 0.3mm solid #000;
  min-height: 3mm;
}
.long .open dd {
  width: 100%;
  min-height: 5mm;
}
/* Each size is a page of its own kind. */
@page label-wide {
  size: 62mm 29mm;
  margin: 0;
}
@page label-long {
  size: 36mm 89mm;
  margin: 0;
}
@media print {
  .wide {
    page: label-wide;
  }
  .long {
    page: label-long;
  }
  .tools {
    display: none;
  }
  .paper {
    padding: 0;
  }
  .label {
    border: 0;
  }
}
</style>
