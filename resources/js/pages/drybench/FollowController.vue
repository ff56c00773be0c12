<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import SourcePicker from '@/components/SourcePicker.vue'
import { gamepadSource } from '@/composables/live/gamepad'
import { type Picked, type SourceKind, SOURCES } from '@/composables/live/picked'
import type { Row } from '@/composables/live/source'
import type { DryBench, Letter } from '@/composables/useDryBench'
import { useLive } from '@/composables/useLive'
import { USUAL_US, placed } from '@/lib/scale'

/**
 * A real handset moves the sticks of the dry bench: plugged in as a game controller, or by the channels that come in from anywhere. Which axis or
 * channel is which stick can be told, and is remembered.
 */
const props = defineProps<{ bench: DryBench; names: Record<string, string> }>()

const LETTERS: Letter[] = ['A', 'E', 'T', 'R']
const KINDS: SourceKind[] = ['port', 'adapter', 'sound', 'log']
/** As most handsets number them. */
const axes = useLocalStorage<Record<Letter, number>>('linguator.axes', { A: 0, E: 1, T: 2, R: 3 })
const pctOf = placed(USUAL_US, { from: -100, to: 100 }, true)
const kind = ref<SourceKind>('controller')
const isChoosing = ref(false)

const percents = (row: Row) => row.axes_pct ?? row.us.map(pctOf)
const { row, isOn, problem, silence, listen, stop } = useLive((one) => {
  const now = percents(one)
  for (const letter of LETTERS) {
    const pct = now[axes.value[letter]]
    if (pct !== undefined) props.bench.moveStick(letter, pct)
  }
})
const count = computed(() => (row.value === null ? 0 : percents(row.value).length))
const places = computed(() =>
  Array.from({ length: count.value }, (_, k) => ({ value: k, label: `${kind.value === 'controller' ? 'axis' : 'channel'} ${k + 1}` })),
)
const choose = (letter: Letter, place: number) => (axes.value = { ...axes.value, [letter]: place })

function follow(picked: Picked): void {
  kind.value = picked.kind
  isChoosing.value = false
  void listen(picked.source)
}
</script>

<template>
  <div class="follow">
    <template v-if="!isOn">
      <ActButton kind="link" class="small" @click="follow({ kind: 'controller', source: gamepadSource() })"> follow a game controller </ActButton>
      ·
      <ActButton kind="link" class="small" :aria-expanded="isChoosing" @click="isChoosing = !isChoosing">or channels that come in</ActButton>
      <SourcePicker v-if="isChoosing" :kinds="KINDS" @choose="follow">Follow</SourcePicker>
    </template>
    <ActButton kind="link" v-else class="small" @click="stop()">
      {{ kind === 'controller' ? 'let go of the game controller' : `let go of ${SOURCES[kind].name}` }}
    </ActButton>
    <p v-if="problem || silence" class="small band" role="alert">{{ problem || silence }}</p>
    <div v-if="isOn && count > 0" class="axes">
      <label v-for="letter in LETTERS" :key="letter" class="small">
        {{ names[letter] ?? letter }}
        <PickField :model-value="axes[letter]" :options="places" @update:model-value="(place) => choose(letter, place)" />
      </label>
    </div>
  </div>
</template>

<style scoped>
.axes {
  display: grid;
  grid-template-columns: auto auto;
  justify-content: start;
  gap: 0.3rem 0.9rem;
  margin-top: 0.3rem;
}
label {
  display: grid;
  grid-template-columns: 4.4rem 7rem;
  gap: 0.4rem;
  align-items: center;
}
</style>
