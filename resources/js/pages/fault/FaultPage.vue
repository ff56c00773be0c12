<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf } from '@/api/http'
import { useDiagnosis } from '@/composables/useDiagnosis'
import FaultCapture from './FaultCapture.vue'
import FaultMend from './FaultMend.vue'
import FaultQuestion from './FaultQuestion.vue'
import FaultSeen from './FaultSeen.vue'
import SuspectList from './SuspectList.vue'

/** One question at a time until the fault is found; of a rig with what it knows of itself, or of none. */
const route = useRoute()
const router = useRouter()
const slug = computed(() => (typeof route.query.rig === 'string' ? route.query.rig : null))
const search = useDiagnosis(slug)
const { course, known, rig, answer } = search

const next = computed(() => {
  const id = answer.data.value?.next_test?.test
  return id === undefined ? undefined : search.test(id)
})
const top = computed(() => {
  const first = answer.data.value?.causes[0]
  return first === undefined ? undefined : search.cause(first.cause)
})
const mends = computed(() => (rig.data.value?.mends ?? []).filter((one) => one.cause === top.value?.id))

/** What the place knows from which somebody comes: the code of a finding, or a test with what it showed. */
watch(
  () => known.data.value,
  (faults) => {
    if (faults === undefined) return
    const seen = typeof route.query.seen === 'string' ? route.query.seen.split(':') : []
    const found = typeof route.query.finding === 'string' ? faults.findings[route.query.finding] : undefined
    const [id, outcome] = found === undefined ? seen : [found.test, found.outcome]
    if (id !== undefined && outcome !== undefined && search.test(id)?.outcomes.some((one) => one.key === outcome)) {
      search.tell(id, outcome)
      // Told once: who takes it back does not find it again after a reload.
      void router.replace({ query: slug.value === null ? {} : { rig: slug.value } })
    }
  },
  { immediate: true },
)
const problem = computed(() => known.error.value ?? rig.error.value ?? answer.error.value)
</script>

<template>
  <main id="main" class="page">
    <div class="page-top">
      <div>
        <h1>Find the fault</h1>
        <p class="muted">
          <template v-if="rig.data.value"
            >Of <RouterLink :to="`/rigs/${slug}`">{{ rig.data.value.name }}</RouterLink>, with what it knows of itself. </template
          >One look at a time, the one that tells most for its minutes.
        </p>
      </div>
      <RouterLink :to="slug ? `/practice?rig=${slug}` : '/practice'" class="small">practise on hidden faults</RouterLink>
      <ActButton v-if="course.seen.length + course.fixed.length > 0" @click="search.startAgain()">Start again</ActButton>
    </div>
    <p v-if="problem" class="band stop" role="alert">
      {{ sentenceOf(problem) }} <RouterLink v-if="slug" to="/fault">Look for it without a rig</RouterLink>
    </p>
    <template v-else-if="answer.data.value && known.data.value">
      <div class="told">
        <template v-if="slug === null">
          <label><input v-model="course.parts.module" type="checkbox" /> a module sends</label>
          <label><input v-model="course.parts.relay" type="checkbox" /> a relay stands between</label>
          <label><input v-model="course.parts.controller" type="checkbox" /> a controller or gyro reads the channels</label>
        </template>
        <label><input v-model="course.allowRisk" type="checkbox" /> Propellers are off, the craft is held: tests near them may be asked</label>
      </div>
      <div class="columns">
        <section aria-label="What to look at" aria-live="polite">
          <FaultMend
            v-if="answer.data.value.done && top"
            :cause="top"
            :proof="search.test(top.prove)"
            :is-sure="answer.data.value.sure"
            :slug="slug"
            :mends="mends"
            :seen="search.evidence.value"
            @changed="rig.refetch()"
            @mended="search.mended(top.id)"
          />
          <FaultQuestion v-if="next" :test="next" :is-more="answer.data.value.done" @tell="(outcome) => search.tell(next?.id ?? '', outcome)" />
          <FaultCapture v-if="slug" :slug="slug" @tell="search.tell" />
          <FaultSeen :seen="course.seen" :by-itself="search.byItself.value" :test="search.test" @tell="search.tell" @take="search.take" />
        </section>
        <SuspectList :suspects="answer.data.value.causes" :cause="search.cause" />
      </div>
    </template>
  </main>
</template>

<style scoped>
.told {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.4rem;
  margin: 0.4rem 0 1rem;
}
.told label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
