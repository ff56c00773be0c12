<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { getJson, sentenceOf } from '@/api/http'
import type { RigMoment } from '@/api/rigs'
import FactsTable from '@/components/FactsTable.vue'
import ChainStrip from '@/components/ChainStrip.vue'
import SheetBody from '@/components/SheetBody.vue'
import StateMark, { STATE_WORDS } from '@/components/StateMark.vue'
import { clock, day } from '@/lib/dates'

const route = useRoute()
const slug = computed(() => String(route.params.slug))
const position = computed(() => Number(route.params.position))
const moment = useQuery({
  queryKey: computed(() => ['moment', slug.value, position.value] as const),
  queryFn: () => getJson<RigMoment>(`/rigs/${slug.value}/at/${position.value}`),
})
const selected = ref<number | null>(null)
const facts = computed(() => (selected.value === null ? [] : (moment.data.value?.review.couplings[selected.value]?.facts ?? [])))
</script>

<template>
  <main id="main">
    <p v-if="moment.error.value" class="page">
      {{ sentenceOf(moment.error.value) }} <RouterLink :to="`/rigs/${slug}/history`">Back to its history</RouterLink>
    </p>
    <template v-else-if="moment.data.value">
      <div class="band past">
        <div>
          <h1>{{ moment.data.value.document.name }} as it was on {{ day(moment.data.value.entry?.at) }}, {{ clock(moment.data.value.entry?.at) }}</h1>
          <p>Right after “{{ moment.data.value.entry?.text ?? moment.data.value.entry?.kind }}”; nothing can be changed here.</p>
        </div>
        <nav class="whole" aria-label="Moments">
          <RouterLink v-if="position > 0" :to="`/rigs/${slug}/at/${position - 1}`">earlier</RouterLink>
          <RouterLink v-if="position < moment.data.value.last" :to="`/rigs/${slug}/at/${position + 1}`">later</RouterLink>
          <RouterLink :to="`/rigs/${slug}/history`">its history</RouterLink>
          <RouterLink :to="`/rigs/${slug}`">as it is now</RouterLink>
        </nav>
      </div>
      <div class="page">
        <ChainStrip
          v-if="moment.data.value.review.boxes.length > 0"
          :boxes="moment.data.value.review.boxes"
          :couplings="moment.data.value.review.couplings"
          :selected="selected"
          @select="selected = selected === $event ? null : $event"
        />
        <FactsTable v-if="facts.length > 0" :facts="facts" class="facts" />
        <div class="halves">
          <section>
            <h2>How far it had come</h2>
            <ul class="plain-list">
              <li v-for="step in moment.data.value.review.steps" :key="step.key">
                <StateMark :state="step.state" /><span class="sr-only">{{ STATE_WORDS[step.state] }}</span> <b class="line-whole">{{ step.title }}</b>
                {{ step.note }}
              </li>
            </ul>
          </section>
          <section>
            <h2>Its sheet then</h2>
            <SheetBody :sections="moment.data.value.review.sheet" />
          </section>
        </div>
      </div>
    </template>
    <p v-else class="page muted">Looking back.</p>
  </main>
</template>

<style scoped>
.past {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0.4rem 1.5rem;
  padding: 0.7rem 1.25rem;
}
.past h1 {
  font-size: 1.15rem;
  overflow-wrap: anywhere;
}
.past nav {
  display: flex;
  gap: 1.2rem;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 2rem;
  margin-top: 1.2rem;
}
li {
  display: flex;
  gap: 0.6rem;
  align-items: center;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--line);
}
.facts {
  margin-top: 0.8rem;
  max-width: 720px;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
