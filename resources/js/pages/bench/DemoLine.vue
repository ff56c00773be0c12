<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { deleteJson, getJson, postJson, sentenceOf } from '@/api/http'
import { useNotice } from '@/composables/useNotice'

/** The demo: put on the bench to look round, told apart from one's own, and cleared in one go. */
export interface DemoLineProps {
  /** Nothing is on the bench: then it is offered large. */
  isEmpty?: boolean
}
defineProps<DemoLineProps>()

interface Here {
  rigs: string[]
  cards: number
  captures: number
}
const client = useQueryClient()
const notice = useNotice()
const here = useQuery({ queryKey: ['demo'], queryFn: ({ signal }) => getJson<Here>('/demo', signal), staleTime: 0 })
const rigs = computed(() => here.data.value?.rigs.length ?? 0)
const isHere = computed(() => rigs.value + (here.data.value?.cards ?? 0) + (here.data.value?.captures ?? 0) > 0)
const isBusy = ref(false)

async function run(act: () => Promise<void>): Promise<void> {
  isBusy.value = true
  try {
    await act()
    await client.invalidateQueries()
  } catch (error) {
    notice.warn(sentenceOf(error))
  } finally {
    isBusy.value = false
  }
}

const load = () =>
  run(async () => {
    await postJson<Here>('/demo', {})
    notice.say('The demo is on the bench. What is of it is marked, and is cleared in one go.')
  })

const clear = () =>
  run(async () => {
    const { stays } = await deleteJson<{ stays: string[] }>('/demo', {})
    const rest = stays.length === 0 ? '' : ` Yours now, because you changed or use it: ${stays.join(', ')}.`
    notice.say(`The demo is cleared away.${rest}`, { label: 'Bring it back', run: () => void load() })
  })
</script>

<template>
  <button v-if="isEmpty" type="button" class="way" :disabled="isBusy" @click="load">
    <b>See the demo bench</b>
    <span>{{ isBusy ? 'Putting it on the bench …' : 'Made-up rigs and gear to look round in; cleared away in one go.' }}</span>
  </button>
  <p v-else-if="isHere" class="band calm demo">
    <span
      >Of the demo: {{ rigs }} {{ rigs === 1 ? 'rig' : 'rigs' }}, {{ here.data.value?.cards }} cards, {{ here.data.value?.captures }} captures. All
      made up.</span
    >
    <ActButton :loading="isBusy" @click="clear">Clear the demo away</ActButton>
  </p>
</template>

<style scoped src="./way.css"></style>
<style scoped>
.demo {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1rem;
  align-items: center;
  justify-content: space-between;
  margin-top: 1.2rem;
}
</style>
