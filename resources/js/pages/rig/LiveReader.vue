<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, ref } from 'vue'
import { postJson } from '@/api/http'
import type { SteadyAsk } from '@/api/rigs'
import SourcePicker from '@/components/SourcePicker.vue'
import { type Picked, type SourceKind, WHY_NOT } from '@/composables/live/picked'
import type { Row } from '@/composables/live/source'
import { type Taken, useSteady } from '@/composables/useSteady'
import { figure } from '@/lib/numberText'
import { percentOf } from '@/lib/scale'

/** Sticks or switches of a rig read by holding them: no typing, both hands at the handset. */
export interface LiveReaderProps {
  slug: string
  kind: SteadyAsk['kind']
}
const props = defineProps<LiveReaderProps>()
const emit = defineEmits<{ taken: [taken: Taken] }>()

/** The sound input is not among them: how true it reads is not known of somebody's machine. */
const KINDS: SourceKind[] = ['port', 'adapter', 'log', 'stand-in']
const standIn = async () => (await postJson<{ log: Row[] }>(`/rigs/${props.slug}/steady/stand-in`, { kind: props.kind })).log
/** Why nothing is written; empty: it is. */
const whyNot = ref('')
/** What would have been. */
const shown = ref<string[]>([])

function took(taken: Taken): void {
  if (whyNot.value === '') emit('taken', taken)
  else shown.value = [...shown.value, `${taken.ask.function} ${figure(taken.us)} µs`]
}

function begin({ kind, source }: Picked): void {
  whyNot.value = WHY_NOT[kind]
  shown.value = []
  void steady.listen(source)
}

const steady = useSteady(() => props.slug, props.kind, took)
const { live, holds, at, now, held, isDone, wantsVoice, hasVoice } = steady
const { isOn } = live
/** As somebody left it: a source that cannot be reached says so here, so it does not close by itself. */
const isOpen = ref(false)
const toggled = (event: Event) => (isOpen.value = (event.target as HTMLDetailsElement).open)
const said = computed(() => live.problem.value || live.silence.value || steady.problem.value)
</script>

<template>
  <details class="reader" :open="isOpen" @toggle="toggled">
    <summary>{{ kind === 'stick' ? 'Read by holding each stick' : 'Read the levels of the switches' }}</summary>
    <div v-if="!isOn">
      <p class="muted small">
        Values as they arrive at the reader. Hold each as it is asked for: after a moment it is taken, a tone is heard, and the next is asked for.
      </p>
      <SourcePicker :kinds="KINDS" is-written :stand-in="standIn" @choose="begin">Begin</SourcePicker>
    </div>
    <template v-else>
      <p v-if="isDone" class="ask" role="status">All are read.</p>
      <template v-else-if="now">
        <p class="muted small">{{ at + 1 }} of {{ holds.length }}</p>
        <p class="ask" role="status">{{ now.says }}</p>
        <p class="now">
          <span class="value">{{ held ? `${figure(held.us)} µs` : '…' }}</span>
          <span class="bar" aria-hidden="true"><i :style="{ width: `${percentOf(held?.share ?? 0)}%` }"></i></span>
        </p>
      </template>
      <p class="acts">
        <ActButton :disabled="at === 0" @click="steady.back()">Once more the one before</ActButton>
        <ActButton :disabled="now === null" @click="steady.skip()">Skip</ActButton>
        <ActButton @click="steady.stop()">{{ isDone ? 'Close' : 'Stop' }}</ActButton>
        <label v-if="hasVoice" class="small"><input v-model="wantsVoice" type="checkbox" /> say it aloud</label>
      </p>
    </template>
    <p v-if="whyNot && (isOn || shown.length > 0)" class="band calm small">
      {{ whyNot }} <span class="value">{{ shown.join(' · ') }}</span>
    </p>
    <p v-if="said" class="band" role="alert">{{ said }}</p>
  </details>
</template>

<style scoped>
.reader {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.5rem 0.9rem;
  margin: 0.6rem 0 0.9rem;
}
summary {
  font-weight: 600;
  min-height: 32px;
  cursor: pointer;
}
.ask {
  font-size: 1.6rem;
  font-weight: 600;
  line-height: 1.2;
}
.now {
  display: flex;
  gap: 1rem;
  align-items: center;
  font-size: 1.2rem;
  margin: 0.3rem 0;
}
.bar {
  flex: 1;
  max-width: 320px;
  height: 12px;
  border: 1px solid var(--line);
  border-radius: 6px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--petrol-2);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  margin-top: 0.5rem;
}
</style>
