<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SteadyAsk } from '@/api/rigs'
import SourcePicker from '@/components/SourcePicker.vue'
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

const steady = useSteady(
  () => props.slug,
  props.kind,
  (taken) => emit('taken', taken),
)
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
      <SourcePicker @choose="steady.listen($event)">Begin</SourcePicker>
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
        <a-button :disabled="at === 0" @click="steady.back()">Once more the one before</a-button>
        <a-button :disabled="now === null" @click="steady.skip()">Skip</a-button>
        <a-button @click="steady.stop()">{{ isDone ? 'Close' : 'Stop' }}</a-button>
        <label v-if="hasVoice" class="small"><input v-model="wantsVoice" type="checkbox" /> say it aloud</label>
      </p>
    </template>
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
