<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import { useNotice } from '@/composables/useNotice'

interface Preview {
  cards: { added: string[]; differ: string[]; same: string[] }
  rigs: { added: string[]; beside: string[]; same: string[] }
  formats: { added: number; differs: number; same: number }
  names: number
  attachments: number
  captures: number
}

interface Report {
  rigs: string[]
  attachments: number
  captures: number
  names_left_out: number
  cards: { added: string[]; replaced: string[] }
}

const client = useQueryClient()
const notice = useNotice()
const file = ref<File | null>(null)
const preview = ref<Preview | null>(null)
const replaces = ref(false)
const problem = ref('')
const isBusy = ref(false)

function form(): FormData {
  const body = new FormData()
  if (file.value) body.append('file', file.value)
  if (replaces.value) body.append('replace', '1')
  return body
}

async function look(event: Event): Promise<void> {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
  preview.value = null
  problem.value = ''
  if (!file.value) return
  try {
    preview.value = await postJson<Preview>('/archive/preview', form())
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}

async function take(): Promise<void> {
  isBusy.value = true
  try {
    const report = await postJson<Report>('/archive/import', form())
    notice.say(
      `Taken in: ${report.rigs.length} rigs, ${report.cards.added.length} cards added, ${report.cards.replaced.length} replaced, ${report.attachments} attached files, ${report.captures} captures.` +
        (report.names_left_out > 0 ? ` ${report.names_left_out} names are left out: what they name is not on this bench.` : ''),
    )
    preview.value = null
    file.value = null
    await client.invalidateQueries()
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    isBusy.value = false
  }
}

const words = (names: string[]) => names.join(', ')
</script>

<template>
  <section class="keeping" aria-labelledby="keeping-title">
    <h2 id="keeping-title">Keeping it</h2>
    <p>
      Everything as one archive of open documents: <a href="/api/v1/archive.zip" download>take it along</a>.
      <label class="pick">Bring one in: <input type="file" accept=".zip,application/zip" aria-label="An archive to bring in" @change="look" /></label>
    </p>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <div v-if="preview" class="band calm">
      <p v-if="preview.rigs.added.length > 0"><b>Rigs added:</b> {{ words(preview.rigs.added) }}.</p>
      <p v-if="preview.rigs.beside.length > 0"><b>Rigs that are here and differ</b> come in beside them: {{ words(preview.rigs.beside) }}.</p>
      <p v-if="preview.rigs.same.length > 0" class="muted">The same already: {{ words(preview.rigs.same) }}.</p>
      <p v-if="preview.cards.added.length > 0"><b>Cards added:</b> {{ words(preview.cards.added) }}.</p>
      <p v-if="preview.cards.differ.length > 0">
        <b>Cards that are here and differ:</b> {{ words(preview.cards.differ) }}.
        <label><input v-model="replaces" type="checkbox" /> replace them</label>
      </p>
      <p v-if="preview.formats.added + preview.formats.differs > 0">
        <b>Serial formats:</b> {{ preview.formats.added }} added, {{ preview.formats.differs }} that are here and differ (replaced with the cards).
      </p>
      <p class="muted small">
        {{ preview.attachments }} attached files and {{ preview.captures }} captures that are not here yet, {{ preview.names }} names of yours.
      </p>
      <a-button type="primary" :loading="isBusy" @click="take">Take it in</a-button> <a-button @click="preview = null">Leave it</a-button>
    </div>
    <p class="muted small">
      The page takes archives of at most 64 MB. A larger one, of any size: <span class="value">php artisan linguator:import FILE</span>.
    </p>
    <p class="muted small">
      A copy of the whole bench while it runs: <span class="value">php artisan linguator:backup</span>; back again:
      <span class="value">linguator:restore FILE</span>.
    </p>
  </section>
</template>

<style scoped>
.keeping {
  margin-top: 1.6rem;
}
.pick {
  margin-left: 1.2rem;
}
</style>
