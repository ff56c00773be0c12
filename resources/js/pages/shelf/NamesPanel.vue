<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { putJson, sentenceOf } from '@/api/http'
import { type NamedThing, namesQuery } from '@/api/shelf'

export interface NamesPanelProps {
  /** The entry to show first, as kind/target. */
  focus: string
}
const props = defineProps<NamesPanelProps>()

const client = useQueryClient()
const { data, error } = useQuery(namesQuery)
const problem = ref('')
const entries = computed(() => [...(data.value?.entries ?? [])].sort((a, b) => Number(keyOf(b) === props.focus) - Number(keyOf(a) === props.focus)))
const KIND_WORDS = { format: 'wire format', family: 'protocol family', variant: 'protocol variant', plug: 'plug' }
const keyOf = (entry: NamedThing) => `${entry.kind}/${entry.target}`

async function save(entry: NamedThing, event: Event): Promise<void> {
  const aliases = (event.target as HTMLInputElement).value
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '')
  try {
    client.setQueryData(
      namesQuery.queryKey,
      await putJson<{ entries: NamedThing[] }>('/aliases', { kind: entry.kind, target: entry.target, aliases, were: entry.aliases }),
    )
    problem.value = ''
  } catch (failed) {
    problem.value = sentenceOf(failed)
  }
}
</script>

<template>
  <div>
    <h2>What your manuals call it</h2>
    <p class="muted">
      Formats, protocols and plugs go here by what can be measured or seen. Add the names your manuals use; the search knows them from then on.
    </p>
    <p v-if="error || problem" class="band stop" role="alert">{{ problem || sentenceOf(error) }}</p>
    <div class="scroll" tabindex="0" role="region" aria-label="Names">
      <table>
        <thead>
          <tr>
            <th scope="col">here</th>
            <th scope="col">what it is</th>
            <th scope="col">your manual says</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="entry in entries" :key="keyOf(entry)" :class="{ here: keyOf(entry) === focus }">
            <td>
              <b>{{ entry.name }}</b><br /><span class="value small muted">{{ entry.target }}</span>
            </td>
            <td class="muted small">
              {{ KIND_WORDS[entry.kind] }}<template v-if="entry.line.length > 0">: {{ entry.line.join(', ') }}</template>
            </td>
            <td>
              <input
                class="field"
                :value="entry.aliases.join(', ')"
                :aria-label="`Names for ${entry.name}, ${entry.target}`"
                placeholder="several, with commas between them"
                @change="save(entry, $event)"
              />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
:deep(.field) {
  width: 100%;
  min-width: 200px;
}
.here td {
  background: var(--wash);
}
</style>
