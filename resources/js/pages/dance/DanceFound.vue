<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, ref, watch } from 'vue'
import type { DanceSetUp, DanceShown } from '@/api/rigs'
import FindingLine from '@/components/FindingLine.vue'
import LabelledField from '@/components/form/LabelledField.vue'
import { useTicked } from '@/composables/useTicked'
import { figure } from '@/lib/numberText'
import { lengthOf, secondsOf } from '@/lib/scale'

/** What a dance showed, and what of it is to be written: all that nobody has to nod to first, unless somebody says otherwise. */
export interface DanceFoundProps {
  shown: DanceShown
  moves: DanceSetUp['moves']
  /** Why nothing of it can be written; empty: it can. */
  whyNot: string
  isSending: boolean
}
const props = defineProps<DanceFoundProps>()
const emit = defineEmits<{ take: [keys: string[], by: string]; again: [] }>()

const chosen = useTicked()
watch(
  () => props.shown,
  (shown) => chosen.only(shown.lines.filter((line) => line.doubt === null).map((line) => line.key)),
  { immediate: true },
)
const by = ref('')
/** What follows from another line is taken with it only. */
const isFree = (line: DanceShown['lines'][number]) => line.needs === null || chosen.has(line.needs)
const taken = computed(() => props.shown.lines.filter((line) => chosen.has(line.key) && isFree(line)))
const redo = computed(() => props.shown.redo.map((move) => props.moves[move]?.says ?? '').filter((says) => says !== ''))
const needsName = computed(() => by.value.trim() === '' && taken.value.some((line) => line.is_proof))

const evidence = (move: number | null) => {
  const read = move === null ? null : (props.shown.moves[move] ?? null)
  return read?.channel == null || read.from_ms == null || read.to_ms == null
    ? ''
    : `channel ${read.channel}, ${figure(secondsOf(lengthOf({ from: read.from_ms, to: read.to_ms })), 1)} s of it`
}
</script>

<template>
  <section class="found">
    <h2>What was found</h2>
    <p v-if="redo.length > 0" class="band">
      Not certain, so nothing is said of it: {{ redo.join(' ') }}
      <ActButton kind="link" @click="$emit('again')">Dance again</ActButton>
    </p>
    <FindingLine v-for="finding in shown.findings" :key="finding.code + finding.message" :finding="finding" />
    <p v-if="shown.lines.length === 0" class="muted">Nothing of it could be written into this rig.</p>
    <template v-else>
      <h3>Into the record</h3>
      <ul class="plain-list">
        <li v-for="line in shown.lines" :key="line.key">
          <label>
            <input
              type="checkbox"
              :checked="chosen.has(line.key) && isFree(line)"
              :disabled="whyNot !== '' || !isFree(line)"
              @change="chosen.toggle(line.key)"
            />
            <span
              ><b class="name">{{ line.name }}</b> <span class="value">{{ line.writes }}</span>
              <span class="muted small evidence">{{ evidence(line.move) }}</span><span v-if="line.doubt" class="doubt">{{ line.doubt }}</span></span
            >
          </label>
        </li>
      </ul>
      <p v-if="whyNot" class="band">{{ whyNot }}</p>
      <form
        v-else
        class="take"
        @submit.prevent="
          emit(
            'take',
            taken.map((line) => line.key),
            by,
          )
        "
      >
        <LabelledField label="Seen by"><input v-model="by" class="field" maxlength="80" /></LabelledField>
        <ActButton kind="primary" html-type="submit" :disabled="taken.length === 0 || needsName || isSending"
          >Write {{ taken.length }} of {{ shown.lines.length }}</ActButton
        >
        <span v-if="needsName" class="muted small">A proof names who saw it.</span>
      </form>
    </template>
  </section>
</template>

<style scoped>
label {
  display: flex;
  gap: 0.7rem;
  align-items: baseline;
  padding: 0.3rem 0;
}
.name::first-letter {
  text-transform: uppercase;
}
.name {
  display: inline-block;
}
.evidence {
  margin-left: 0.6rem;
}
h3 {
  margin-top: 0.9rem;
}
.found {
  margin-top: 1.2rem;
}
.doubt {
  display: block;
  color: var(--amber-text);
}
.take {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: end;
  margin-top: 0.6rem;
}
</style>
