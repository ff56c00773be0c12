<script setup lang="ts">
import { ref } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { FaultTestView, KnownFaults, RigData } from '@/api/rigs'
import { getJson } from '@/api/http'

/** What it most likely is, how it is mended, and what proves it. */
export interface FaultMendProps {
  cause: KnownFaults['causes'][number]
  proof: FaultTestView | undefined
  isSure: boolean
  /** Of the rig; null: of none. */
  slug: string | null
}
const props = defineProps<FaultMendProps>()
defineEmits<{ mended: [] }>()

const kept = ref('')
const isKeeping = ref(false)

/** What was found goes into the rig's history. */
async function keep(): Promise<void> {
  isKeeping.value = true
  try {
    const rig = await getJson<RigData>(`/rigs/${props.slug ?? ''}`)
    await postJson(`/rigs/${props.slug ?? ''}/intents`, {
      revision: rig.revision,
      intent: 'found-fault',
      told: { cause: props.cause.id },
    })
    kept.value = 'Kept in the history of the rig.'
  } catch (error) {
    kept.value = sentenceOf(error)
  } finally {
    isKeeping.value = false
  }
}
</script>

<template>
  <div class="mend">
    <p class="muted small">{{ isSure ? 'This it is, as far as was seen' : 'No test is left that would tell more; most likely' }}</p>
    <h2>{{ cause.says }}</h2>
    <p class="fix"><b>Mend it.</b> {{ cause.fix }}</p>
    <p v-if="proof"><b>Prove it.</b> {{ proof.asks }} {{ proof.how }}</p>
    <p v-if="proof?.risk" class="band">{{ proof.risk }}</p>
    <div class="row">
      <a-button type="primary" @click="$emit('mended')">Mended: is it well now?</a-button>
      <a-button v-if="slug" :loading="isKeeping" :disabled="kept !== ''" @click="keep">Keep this in its history</a-button>
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
