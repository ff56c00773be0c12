<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { ref } from 'vue'
import type { Seen } from '@/composables/useDiagnosis'
import { getJson, postJson, sentenceOf } from '@/api/http'
import type { FaultTestView, KnownFaults, RigData, RigSymptoms } from '@/api/rigs'

/** What it most likely is, how it is mended, and what proves it. */
export interface FaultMendProps {
  cause: KnownFaults['causes'][number]
  proof: FaultTestView | undefined
  isSure: boolean
  /** Of the rig; null: of none. */
  slug: string | null
  /** The course so far. */
  seen: Seen[]
  /** Settings that mend it. */
  mends: RigSymptoms['mends']
}
const props = defineProps<FaultMendProps>()
const emit = defineEmits<{ mended: []; changed: [] }>()

const kept = ref('')
const isKeeping = ref(false)

/** Tells the bench of what is done with the rig as it is now. */
async function tell(intent: string, told: unknown, done: string): Promise<void> {
  isKeeping.value = true
  try {
    const rig = await getJson<RigData>(`/rigs/${props.slug ?? ''}`)
    await postJson(`/rigs/${props.slug ?? ''}/intents`, { revision: rig.revision, intent, told })
    kept.value = done
    emit('changed')
  } catch (error) {
    kept.value = sentenceOf(error)
  } finally {
    isKeeping.value = false
  }
}

/** What was found goes into the rig's history. */
const keep = () => tell('found-fault', { cause: props.cause.id, seen: props.seen }, 'Kept in the history of the rig.')
</script>

<template>
  <div class="mend">
    <p class="muted small">{{ isSure ? 'This it is, as far as was seen' : 'No test is left that would tell more; most likely' }}</p>
    <h2>{{ cause.says }}</h2>
    <p class="fix"><b>Mend it.</b> {{ cause.fix }}</p>
    <div v-if="slug && (mends.length > 0 || cause.step)" class="row">
      <ActButton v-for="mend in mends" :key="mend.title" :disabled="isKeeping" @click="tell(mend.intent, mend.told, `Set: ${mend.title}.`)">{{
        mend.title
      }}</ActButton>
      <RouterLink v-if="cause.step" :to="`/rigs/${slug}/${cause.step}`">Set it on the step {{ cause.step }}</RouterLink>
      <span v-if="mends.length > 0" class="muted small">This is written down for the rig; set it in the box as well.</span>
    </div>
    <p v-if="proof"><b>Prove it.</b> {{ proof.asks }} {{ proof.how }}</p>
    <p v-if="proof?.risk" class="band">{{ proof.risk }}</p>
    <div class="row">
      <ActButton kind="primary" @click="$emit('mended')">Mended: is it well now?</ActButton>
      <ActButton v-if="slug" :loading="isKeeping" :disabled="kept !== ''" @click="keep">Keep this in its history</ActButton>
      <span class="muted small" role="status">{{ kept }}</span>
    </div>
  </div>
</template>

<style scoped>
.mend {
  border-left: 4px solid var(--petrol-2);
  background: var(--wash);
  padding: 0.9rem 1.2rem;
  margin-bottom: 1rem;
}
h2 {
  font-size: 1.5rem;
  margin: 0.2rem 0 0.4rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
  align-items: center;
  margin-top: 0.7rem;
}
</style>
