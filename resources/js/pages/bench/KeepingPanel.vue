<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import FileField from '@/components/form/FileField.vue'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { sizeOf } from '@/lib/numberText'
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

/** As the server takes it: config/php/linguator.ini. */
const LARGEST = 64_000_000

const client = useQueryClient()
const notice = useNotice()
const file = ref<File | null>(null)
const preview = ref<Preview | null>(null)
const replaces = ref(false)
const problem = ref('')
const isLooking = ref(false)
const isBusy = ref(false)

const isNothingNew = computed(() => {
  const told = preview.value
  if (!told) return false
  const lists = [told.rigs.added, told.rigs.beside, told.cards.added, told.cards.differ]
  return lists.every((list) => list.length === 0) && told.formats.added + told.formats.differs + told.attachments + told.captures + told.names === 0
})

function form(): FormData {
  const body = new FormData()
  if (file.value) body.append('file', file.value)
  if (replaces.value) body.append('replace', '1')
  return body
}

async function look(chosen: File): Promise<void> {
  file.value = chosen
  preview.value = null
  problem.value = ''
  if (chosen.size > LARGEST) {
    problem.value = `${chosen.name} has ${sizeOf(chosen.size)}; the page takes at most ${sizeOf(LARGEST)}. On the command line: php artisan linguator:import FILE.`
    return
  }
  isLooking.value = true
  try {
    preview.value = await postJson<Preview>('/archive/preview', form())
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    isLooking.value = false
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
    leave()
    await client.invalidateQueries()
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    isBusy.value = false
  }
}

function leave(): void {
  preview.value = null
  file.value = null
}

const words = (names: string[]) => names.join(', ')
</script>

<template>
  <section id="keeping" class="keeping" aria-labelledby="keeping-title">
    <h2 id="keeping-title">Backup and exchange</h2>
    <p>The whole bench as one archive: open documents, with their pictures and captures.</p>
    <p class="acts">
      <ActButton href="/api/v1/archive.zip" download>Export everything</ActButton>
      <FileField
        :says="isLooking ? 'Looking through it …' : 'Import an archive'"
        name="a zip of a bench"
        accept=".zip,application/zip"
        :is-waiting="isLooking"
        @take="look"
      />
    </p>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <div v-if="preview" class="band calm preview" role="status">
      <p>
        <b>{{ file?.name }}</b><template v-if="isNothingNew">: everything in it is here already.</template>
      </p>
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
      <p v-if="!isNothingNew" class="muted small">
        {{ preview.attachments }} attached files, {{ preview.captures }} captures and {{ preview.names }} names that are not here yet.
      </p>
      <p class="acts">
        <template v-if="!isNothingNew"
          ><ActButton kind="primary" :loading="isBusy" @click="take">Import</ActButton> <ActButton @click="leave">Cancel</ActButton></template
        >
        <ActButton v-else @click="leave">Close</ActButton>
      </p>
    </div>
    <p class="muted small">
      The page takes archives of at most {{ sizeOf(LARGEST) }}; one of any size: <span class="value">php artisan linguator:import FILE</span>. A copy
      of the whole bench while it runs: <span class="value">php artisan linguator:backup</span>; back again:
      <span class="value">linguator:restore FILE</span>.
    </p>
  </section>
</template>

<style scoped>
.keeping {
  margin-top: 1.6rem;
}
.keeping > p,
.preview > p {
  margin-bottom: 0.5rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.preview {
  margin: 0.2rem 0 0.9rem;
}
</style>
