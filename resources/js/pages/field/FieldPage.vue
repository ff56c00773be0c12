<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { postJson, sentenceOf } from '@/api/http'
import type { FieldPreview, RigData, StepState } from '@/api/rigs'
import FileTake from '@/components/FileTake.vue'
import StateMark from '@/components/StateMark.vue'
import { useNotice } from '@/composables/useNotice'
import { clock, day } from '@/lib/dates'

/** What came back from the field: looked at first, then taken in as one entry. */
const router = useRouter()
const client = useQueryClient()
const notice = useNotice()
const text = ref('')
const preview = ref<FieldPreview | null>(null)
const problem = ref('')
const isBusy = ref(false)
const MARKS: Record<string, StepState> = { holds: 'done', stale: 'attention', failed: 'stop', open: 'open' }

const WORDS = { holds: 'It holds.', failed: 'It failed.', open: 'It stays open.', stale: '' }

async function look(given: string): Promise<void> {
  preview.value = await postJson<FieldPreview>('/field/preview', { text: given })
  text.value = given
  problem.value = ''
}

async function take(): Promise<void> {
  if (preview.value === null) return
  isBusy.value = true
  try {
    const { rig } = preview.value
    await postJson<RigData>('/field', { text: text.value, revision: rig.revision })
    await client.invalidateQueries()
    notice.say(`What was seen at the field stands in the history of ${rig.name}.`)
    await router.push(`/rigs/${rig.slug}/check-out`)
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink to="/">Bench</RouterLink></p>
    <h1>Back from the field</h1>
    <p class="muted">
      A field pack is one file of a rig that works on a phone without any network; it is fetched at the rig's check-out. What was seen with it comes
      back here, by its small file or its text.
    </p>
    <FileTake label="Import what was seen" act="Preview" what="what a field pack gave back" :take="look" />
    <section v-if="preview" aria-labelledby="preview-title">
      <h2 id="preview-title">{{ preview.rig.name }}</h2>
      <p class="muted small">
        Each check counts for the rig as it was when the pack was made; where it has changed since, the check is stale by itself.
      </p>
      <ul class="plain-list">
        <li v-for="line in preview.lines" :key="line.says + line.at">
          <StateMark :state="line.is_here ? 'open' : (MARKS[line.state] ?? 'open')" />
          <div>
            <b>{{ line.says }}</b>
            <p class="muted small">
              {{ day(line.at) }}, {{ clock(line.at) }}<template v-if="line.by">, {{ line.by }}</template
              >.
              {{ line.is_here ? 'Here already.' : line.state === 'stale' ? `Stale at once, because ${line.reasons.join(', ')}.` : WORDS[line.state] }}
            </p>
          </div>
        </li>
      </ul>
      <p v-if="preview.note">“{{ preview.note }}”</p>
      <p v-if="preview.photos > 0" class="muted">{{ preview.photos }} {{ preview.photos === 1 ? 'picture' : 'pictures' }}</p>
      <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
      <ActButton kind="primary" :loading="isBusy" @click="take">Import</ActButton>
    </section>
  </main>
</template>

<style scoped>
section {
  margin-top: 1.2rem;
}
li {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  gap: 0.6rem;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--line);
}
.ant-btn-primary {
  margin-top: 0.9rem;
}
</style>
