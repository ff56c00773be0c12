<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { getJson, sentenceOf } from '@/api/http'
import type { Difference, RigData } from '@/api/rigs'
import { clock, day } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'

export interface ComparePanelProps {
  rig: RigData
  handle: RigHandle
  /** Position of the entry after which the earlier moment lies. */
  then: number
}
const props = defineProps<ComparePanelProps>()
defineEmits<{ close: [] }>()

const now = ref<number | null>(null)
const differences = useQuery({
  queryKey: computed(() => ['compare', props.rig.slug, props.rig.revision, props.then, now.value] as const),
  queryFn: () =>
    getJson<{ differences: Difference[] }>(`/rigs/${props.rig.slug}/compare?then=${props.then}${now.value === null ? '' : `&now=${now.value}`}`),
})
const moment = (position: number) => {
  const entry = props.rig.history.find((item) => item.position === position)?.entry
  return entry ? `${day(entry.at)} ${clock(entry.at)}, ${entry.text ?? entry.kind}` : `entry ${position}`
}

function restore(difference: Difference): void {
  void props.handle.patch({
    text: `Brought back from ${moment(props.then).slice(0, 20)}: ${difference.name.toLowerCase()}`,
    set: difference.set,
    clear: difference.clear,
  })
}
</script>

<template>
  <section class="compare" aria-label="Two moments side by side">
    <header>
      <h3>What is different</h3>
      <ActButton size="small" @click="$emit('close')">Close</ActButton>
    </header>
    <div class="moments">
      <p><span class="muted">Then:</span> {{ moment(then) }}</p>
      <label
        ><span class="muted">Against</span>
        <PickField
          :model-value="now === null ? '' : String(now)"
          :options="choicesOf(rig.history, 'position', (item) => moment(item.position), 'now')"
          @update:model-value="(position) => (now = position === '' ? null : Number(position))"
      /></label>
    </div>
    <p v-if="differences.error.value" class="band stop" role="alert">{{ sentenceOf(differences.error.value) }}</p>
    <p v-else-if="differences.data.value?.differences.length === 0" class="band calm">Nothing is set differently.</p>
    <table v-else-if="differences.data.value">
      <thead>
        <tr>
          <th scope="col">setting</th>
          <th scope="col">then</th>
          <th scope="col">{{ now === null ? 'now' : 'later' }}</th>
          <th scope="col"><span class="sr-only">bring back</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="difference in differences.data.value.differences" :key="difference.place">
          <td>{{ difference.name }}</td>
          <td class="what value">{{ difference.then_says }}</td>
          <td class="what value">{{ difference.now_says }}</td>
          <td>
            <ActButton kind="link" class="small" :aria-label="`Bring back: ${difference.name}`" @click="restore(difference)">
              bring it back
            </ActButton>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.compare {
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 0.8rem 1rem;
  margin: 0.8rem 0;
}
header {
  display: flex;
  justify-content: space-between;
}
.moments {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.6rem;
  align-items: center;
  margin: 0.4rem 0;
}
.moments label {
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
.moments .field {
  flex: 1;
  max-width: 22rem;
}
td.what {
  white-space: normal;
  overflow-wrap: anywhere;
  font-size: 0.85rem;
}
</style>
