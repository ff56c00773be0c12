<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { sentenceOf } from '@/api/http'
import { wordsQuery } from '@/api/words'

/** All words of the work with what they mean. */
const route = useRoute()
const words = useQuery(wordsQuery)
const filter = ref('')
const shown = computed(() => {
  const asked = filter.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (words.data.value?.words ?? []).filter((one) => {
    const text = [one.word, ...one.also, one.says].join(' ').toLowerCase()
    return asked.every((word) => text.includes(word))
  })
})
const wanted = computed(() => decodeURIComponent(route.hash.slice(1)))
watch(
  [wanted, () => words.data.value],
  async () => {
    await nextTick()
    document.getElementById(`word-${wanted.value}`)?.scrollIntoView({ block: 'center' })
  },
  { immediate: true },
)
</script>

<template>
  <main id="main" class="page">
    <h1>Words</h1>
    <p class="muted">What the words of this work mean here. Where one of them stands underlined with dots, it is explained on the spot.</p>
    <input v-model="filter" type="search" class="field" aria-label="Only words with" placeholder="only words with …" maxlength="60" />
    <p v-if="words.error.value" class="band stop" role="alert">{{ sentenceOf(words.error.value) }}</p>
    <dl>
      <div v-for="one in shown" :id="`word-${one.word}`" :key="one.word" :class="{ wanted: one.word === wanted }">
        <dt>
          {{ one.word }}<span v-if="one.also.length > 0" class="muted small"> {{ one.also.join(', ') }}</span>
        </dt>
        <dd>
          {{ one.says }}
          <span v-if="one.see.length > 0" class="small muted"
            >See
            <template v-for="(other, k) in one.see" :key="other"
              >{{ k > 0 ? ', ' : '' }}<RouterLink :to="`/words#${encodeURIComponent(other)}`">{{ other }}</RouterLink></template
            >.</span
          >
        </dd>
      </div>
    </dl>
    <p v-if="shown.length === 0 && words.data.value" class="muted" role="status">No word has that.</p>
  </main>
</template>

<style scoped>
input {
  width: min(24rem, 100%);
  margin: 0.7rem 0;
}
dl {
  columns: 2 24rem;
  column-gap: 2.5rem;
}
dl > div {
  break-inside: avoid;
  padding: 0.5rem 0.6rem;
  border-bottom: 1px solid var(--line);
}
dt {
  font-weight: 600;
}
.wanted {
  background: var(--wash);
}
</style>
