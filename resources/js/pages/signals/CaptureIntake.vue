<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import ProgressLine from '@/components/ProgressLine.vue'
import FileField from '@/components/form/FileField.vue'
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { type CaptureListed, type DeskData, deskQuery, sendCapture } from '@/api/captures'
import { sizeOf } from '@/lib/numberText'
import { postJson, sentenceOf } from '@/api/http'
import StandInForm from './StandInForm.vue'

export interface CaptureIntakeProps {
  desk: DeskData
}
const props = defineProps<CaptureIntakeProps>()

const router = useRouter()
const client = useQueryClient()
const way = ref<'file' | 'paste' | 'sample' | 'stand-in'>('file')
const text = ref('')
const problem = ref('')
const share = ref<number | null>(null)
const isOver = ref(false)
let stop: (() => void) | null = null

const WAYS = [
  { way: 'file', title: 'A file' },
  { way: 'paste', title: 'Paste it' },
  { way: 'sample', title: 'A sample' },
  { way: 'stand-in', title: 'A stand-in' },
] as const

async function shown(made: Promise<CaptureListed>): Promise<void> {
  problem.value = ''
  try {
    const capture = await made
    void client.invalidateQueries({ queryKey: deskQuery.queryKey, exact: true })
    await router.push(`/signals/${capture.id}`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}

async function send(file: File | undefined): Promise<void> {
  isOver.value = false
  if (file === undefined) return
  if (file.size > props.desk.most_bytes) {
    problem.value = `Found a file of ${sizeOf(file.size)}; expected a capture of at most ${sizeOf(props.desk.most_bytes)}. On the command line, linguator:decode takes files of any size.`
    return
  }
  share.value = 0
  const sending = sendCapture(file, file.name, (done) => (share.value = done))
  stop = sending.stop
  await shown(sending.done)
  share.value = null
}
</script>

<template>
  <section
    class="intake"
    :class="{ over: isOver }"
    aria-labelledby="intake-title"
    @dragover.prevent="isOver = true"
    @dragleave="isOver = false"
    @drop.prevent="send($event.dataTransfer?.files[0])"
  >
    <h2 id="intake-title">Bring a capture in</h2>
    <div class="ways" role="radiogroup" aria-label="Where it comes from">
      <label v-for="one in WAYS" :key="one.way" :class="{ on: way === one.way }"
        ><input v-model="way" type="radio" name="way" class="sr-only" :value="one.way" />{{ one.title }}</label
      >
    </div>
    <div v-if="way === 'file'" class="drop">
      <p class="choose">
        Drop a capture anywhere here, or
        <FileField says="choose a file" name="a capture" @take="send" />
      </p>
      <p class="muted small">
        Bytes as hex or raw, changes as CSV or VCD, a WAV of a pulse train, a CSV of channel values; up to {{ sizeOf(desk.most_bytes) }}. Format, baud
        and polarity are found out.
      </p>
      <p v-if="share !== null" role="status">
        <ProgressLine :share="share" name="Sent so far" /> {{ Math.round(share * 100) }} % sent
        <ActButton kind="link" @click="stop?.()">stop</ActButton>
      </p>
    </div>
    <form v-else-if="way === 'paste'" @submit.prevent="shown(postJson('/captures', { text, name: 'pasted' }))">
      <label class="sr-only" for="paste">Text of a capture</label>
      <textarea
        id="paste"
        v-model="text"
        class="field value"
        rows="5"
        spellcheck="false"
        placeholder="0.000 ms: 0f e0 03 1f 58 …   or   time_us,level …"
        @keydown.ctrl.enter="shown(postJson('/captures', { text, name: 'pasted' }))"
      ></textarea>
      <ActButton kind="primary" html-type="submit" :disabled="text.trim() === ''">Read it</ActButton>
    </form>
    <ul v-else-if="way === 'sample'" class="plain-list samples">
      <li v-for="sample in desk.samples" :key="sample">
        <ActButton kind="link" @click="shown(postJson('/captures', { sample }))">{{ sample }}</ActButton>
      </li>
    </ul>
    <StandInForm v-else :formats="desk.formats" @send="shown(postJson('/captures', $event))" />
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.intake {
  border: 2px dashed var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 1rem 1.1rem;
}
.intake.over {
  border-color: var(--amber-line);
  background: var(--amber-fill);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
  margin: 0.5rem 0 0.8rem;
}
.ways label {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 0.3rem 0.9rem;
  cursor: pointer;
}
.ways .on {
  background: var(--accent);
  color: var(--accent-ink);
  border-color: var(--accent);
}
.ways label:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 1px;
}
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1rem;
  align-items: center;
  font-weight: 600;
}
textarea {
  width: 100%;
  display: block;
  margin-bottom: 0.6rem;
}
.samples {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 0.1rem 1.2rem;
}
.drop p {
  margin-top: 0.5rem;
}
.band {
  margin-top: 0.7rem;
}
@media (max-width: 700px) {
  .ways label {
    padding: 0.6rem 0.9rem;
  }
  .samples button {
    min-height: 44px;
  }
}
</style>
