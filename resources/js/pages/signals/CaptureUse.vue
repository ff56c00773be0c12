<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { CaptureListed, CaptureOptions } from '@/api/captures'
import { postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import { useWho } from '@/composables/useWho'
import { useNotice } from '@/composables/useNotice'

export interface CaptureUseProps {
  capture: CaptureListed
  options: CaptureOptions
}
const props = defineProps<CaptureUseProps>()

interface Look {
  revision: number
  keeps_file: boolean
  travel: { channel: number; name: string; lo: number; mid: number; hi: number; moved: boolean; rested: boolean }[]
  failsafe: { hop: number; expected: string }[]
  observed: string
}

const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const { data: rigs } = useQuery(rigsQuery)
const slug = ref('')
const look = ref<Look | null>(null)
const by = useWho()
const ticked = ref<number[]>([])
const hop = ref(1)
const problem = ref('')
/** One use is on its way: a second press tells nothing. */
const isSending = ref(false)

async function ask<T>(body: Record<string, unknown>): Promise<T | null> {
  problem.value = ''
  try {
    return await postJson<T>(`/rigs/${slug.value}/evidence`, { capture: props.capture.id, options: props.options, ...body })
  } catch (error) {
    problem.value = sentenceOf(error)
    return null
  }
}

async function read(): Promise<void> {
  look.value = slug.value === '' ? null : await ask<Look>({ use: 'look' })
  ticked.value = (look.value?.travel ?? []).filter((row) => row.moved).map((row) => row.channel)
  hop.value = 1
}

async function use(body: Record<string, unknown>, said: string, step: string): Promise<void> {
  if (isSending.value) return
  isSending.value = true
  const rig = await ask<RigData>({ revision: look.value?.revision ?? 0, ...body })
  isSending.value = false
  if (rig === null) return
  void client.invalidateQueries({ queryKey: ['rigs'] })
  notice.say(said, { label: 'Go there', run: () => void router.push(`/rigs/${slug.value}/${step}`) })
  await read()
}

watch(slug, () => void read())
watch(
  () => [props.capture.id, props.options],
  () => void read(),
)
const NAMES: Record<string, string> = { A: 'aileron', E: 'elevator', T: 'throttle', R: 'rudder' }
</script>

<template>
  <section aria-labelledby="use-title">
    <h2 id="use-title">Use it for a rig</h2>
    <label>Rig <PickField v-model="slug" :options="choicesOf(rigs?.rigs ?? [], 'slug', 'name', 'choose one')" /></label>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <ul v-if="look" class="plain-list uses">
      <li>
        <div>
          <b>As evidence</b>
          <p class="muted small">
            {{
              look.keeps_file
                ? 'The capture and what was read in it are kept'
                : 'What was read in it is kept (the capture itself is larger than 5 MB)'
            }}
            with the rig's history.
          </p>
        </div>
        <ActButton :disabled="isSending" @click="use({ use: 'attach' }, 'Kept with the history.', 'history')">Keep it</ActButton>
      </li>
      <li v-if="look.travel.length > 0">
        <div>
          <b>As readings for Travel</b>
          <label v-for="row in look.travel" :key="row.channel" class="tick">
            <input v-model="ticked" type="checkbox" :value="row.channel" /> <span class="value">{{ row.channel }}</span>
            {{ NAMES[row.name] ?? row.name }} <span class="value">{{ figure(row.lo) }} / {{ figure(row.mid) }} / {{ figure(row.hi) }}</span> µs
            <span v-if="!row.rested" class="muted small">the middle is halfway: it does not rest there</span>
            <span v-if="!row.moved" class="muted small">was not moved to its ends</span>
          </label>
        </div>
        <ActButton :disabled="isSending || ticked.length === 0" @click="use({ use: 'travel', channels: ticked }, 'Readings taken over.', 'travel')"
          >Take them over</ActButton
        >
      </li>
      <li>
        <div>
          <b>As the movement log for Order</b>
          <p class="muted small">Sticks moved one after another, each to both ends and back.</p>
        </div>
        <RouterLink :to="{ path: `/rigs/${slug}/order`, query: { capture: capture.id, line: options.line, as: options.as } }" class="go"
          >Judge the order</RouterLink
        >
      </li>
      <li>
        <div>
          <b>As a dance</b>
          <p class="muted small">
            Hands off first, then every stick, switch and knob in the order the dance asks for: order, travel and levels at once.
          </p>
        </div>
        <RouterLink :to="{ path: `/rigs/${slug}/dance`, query: { capture: capture.id, line: options.line, as: options.as } }" class="go"
          >Read it as a dance</RouterLink
        >
      </li>
      <li v-if="look.failsafe.length > 0">
        <div>
          <b>As a failsafe test</b>
          <label v-if="look.failsafe.length > 1"
            >Link that was cut <PickField v-model="hop" :options="look.failsafe.map((one) => ({ value: one.hop, label: `hop ${one.hop}` }))"
          /></label>
          <p class="small">Expected: {{ look.failsafe[hop - 1]?.expected }}</p>
          <p class="small">Seen: {{ look.observed }}.</p>
        </div>
        <span class="two">
          <label>By <input v-model="by" class="field by" maxlength="80" autocomplete="name" /></label>
          <ActButton
            :disabled="isSending || by.trim() === ''"
            @click="use({ use: 'failsafe', hop, passed: true, by }, 'Failsafe test recorded as passed.', 'failsafe')"
            >As expected</ActButton
          >
          <ActButton
            :disabled="isSending || by.trim() === ''"
            @click="use({ use: 'failsafe', hop, passed: false, by }, 'Failsafe test recorded as failed.', 'failsafe')"
            >Not as expected</ActButton
          >
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.uses li {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 1rem;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--line);
}
.tick {
  display: block;
}
.two {
  display: flex;
  flex-direction: column;
  gap: 0.4rem;
}
.go {
  border: 1.5px solid var(--petrol);
  border-radius: var(--radius);
  padding: 0.25rem 0.8rem;
  text-decoration: none;
  white-space: nowrap;
  background: var(--card);
}
@media (max-width: 700px) {
  .uses li {
    flex-direction: column;
  }
}
</style>
