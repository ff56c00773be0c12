<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { getJson, sentenceOf } from '@/api/http'
import type { PracticeResult } from '@/api/rigs'
import { LEVELS, type Level } from '@/composables/usePractice'
import { useRunnable } from '@/composables/useRunnable'
import PracticeProgress from './PracticeProgress.vue'

/** Which rig, how hard, which seed; and how it went so far. */
const props = defineProps<{ first: string | null }>()
const router = useRouter()
const { choices, all, isKnown, error } = useRunnable()
const results = useQuery({
  queryKey: ['practice-results'] as const,
  queryFn: ({ signal }) => getJson<{ games: PracticeResult[] }>('/practice', signal),
  staleTime: 0,
})
const rig = ref('')
const level = ref<Level>('plain')
const seed = ref('')
const clean = computed(() => seed.value.trim().replaceAll(/\s+/g, '-'))
const isSeed = computed(() => clean.value === '' || /^[A-Za-z0-9-]{1,40}$/.test(clean.value))

watch(
  [() => props.first, isKnown],
  () => {
    if (rig.value === '' && (props.first !== null || isKnown.value)) rig.value = props.first ?? all.value[0]?.slug ?? ''
  },
  { immediate: true },
)

/** A rig that is drawn too. */
const ANY = '*'
const drawnRig = () => all.value[(crypto.getRandomValues(new Uint8Array(1))[0] ?? 0) % Math.max(1, all.value.length)]?.slug ?? ''

/** Short enough to be told over a bench. */
const drawn = () => Array.from(crypto.getRandomValues(new Uint8Array(3)), (byte) => byte.toString(16).padStart(2, '0')).join('')

function begin(): void {
  if (rig.value === '' || !isSeed.value) return
  const on = rig.value === ANY ? drawnRig() : rig.value
  if (on === '') return
  void router.push(`/practice/${on}/${level.value}/${clean.value || drawn()}`)
}
</script>

<template>
  <div class="page-top">
    <div>
      <h1>Practice</h1>
      <p class="muted">A craft comes in with a complaint. Tests cost minutes. Find the fault that is hidden in it, in as few as you can.</p>
    </div>
  </div>
  <p v-if="error" class="band stop" role="alert">{{ sentenceOf(error) }}</p>
  <div class="columns">
    <form class="start" @submit.prevent="begin">
      <label for="practice-rig">Rig</label>
      <PickField id="practice-rig" v-model="rig" :options="[{ value: ANY, label: 'any of them' }, ...choices]" />
      <fieldset>
        <legend>How hard</legend>
        <label v-for="one in LEVELS" :key="one.key" class="level">
          <input v-model="level" type="radio" name="level" :value="one.key" /> <b>{{ one.title }}</b> <span class="muted">{{ one.says }}</span>
        </label>
      </fieldset>
      <label for="practice-seed">Seed <span class="muted small">the same hides the same; empty: a new one</span></label>
      <input
        id="practice-seed"
        v-model="seed"
        class="field"
        type="text"
        maxlength="40"
        autocomplete="off"
        spellcheck="false"
        :aria-invalid="!isSeed"
      />
      <p v-if="!isSeed" class="small wrong" role="alert">Letters, digits and dashes only.</p>
      <ActButton kind="primary" html-type="submit" size="large" :disabled="rig === '' || !isSeed">Begin</ActButton>
    </form>
    <PracticeProgress :games="results.data.value?.games ?? []" />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 380px) minmax(0, 1fr);
  gap: 2.5rem;
  align-items: start;
  margin-top: 1rem;
}
.start {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.4rem;
}
.start > label {
  font-weight: 500;
  margin-top: 0.5rem;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0.6rem 0 0;
}
legend {
  font-weight: 500;
  padding: 0;
}
.level {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 40px;
}
.wrong {
  color: var(--stop);
}
.start .ant-btn {
  margin-top: 0.8rem;
}
@media (max-width: 800px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
