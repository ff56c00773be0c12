<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { gamepadSource } from '@/composables/live/gamepad'
import type { DryBench, Letter } from '@/composables/useDryBench'
import { useLive } from '@/composables/useLive'

/** A handset on a USB lead moves the sticks of the dry bench: which of its axes is which stick can be told, and is remembered. */
const props = defineProps<{ bench: DryBench; names: Record<string, string> }>()

const LETTERS: Letter[] = ['A', 'E', 'T', 'R']
/** As most handsets number them. */
const axes = useLocalStorage<Record<Letter, number>>('linguator.axes', { A: 0, E: 1, T: 2, R: 3 })
const { row, isOn, problem, listen, stop } = useLive(({ axes_pct }) => {
  for (const letter of LETTERS) {
    const pct = axes_pct?.[axes.value[letter]]
    if (pct !== undefined) props.bench.moveStick(letter, pct)
  }
})
const seen = computed(() => row.value?.axes_pct ?? [])
const choose = (letter: Letter, event: Event) => (axes.value = { ...axes.value, [letter]: Number((event.target as HTMLSelectElement).value) })
</script>

<template>
  <div class="follow">
    <button v-if="!isOn" type="button" class="link-button small" @click="listen(gamepadSource())">follow a game controller</button>
    <button v-else type="button" class="link-button small" @click="stop()">let go of the game controller</button>
    <p v-if="problem" class="small band" role="alert">{{ problem }}</p>
    <div v-if="isOn && seen.length > 0" class="axes">
      <label v-for="letter in LETTERS" :key="letter" class="small">
        {{ names[letter] ?? letter }}
        <select class="field" :value="axes[letter]" @change="choose(letter, $event)">
          <option v-for="k in seen.length" :key="k" :value="k - 1">axis {{ k }}</option>
        </select>
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
  grid-template-columns: 4.4rem 6rem;
  gap: 0.4rem;
  align-items: center;
}
</style>
