<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import StarterButton from '@/components/StarterButton.vue'
import { computed } from 'vue'
import type { Starter } from '@/api/rigs'
import type { CardListed } from '@/api/shelf'
import LabelledField from '@/components/form/LabelledField.vue'
import { type Held, NOTHING } from './start'

/** One box that somebody holds: what it looks most like, or one that is on the shelf already. */
export interface HeldBoxProps {
  place: string
  title: string
  isNeeded: boolean
  starters: Starter[]
  cards: CardListed[]
}
const props = defineProps<HeldBoxProps>()
const held = defineModel<Held>({ required: true })

const starter = computed(() => props.starters.find((one) => one.title === held.value.starter) ?? null)
const isChosen = computed(() => held.value.starter !== '' || held.value.card !== '')

function begin(one: Starter): void {
  held.value = { card: '', starter: one.title, name: one.title.replace(/^An? /, '') }
}

function take(card: string): void {
  held.value = { ...NOTHING, card }
}
</script>

<template>
  <fieldset>
    <legend>{{ title }} <span v-if="!isNeeded" class="muted small">if there is one</span></legend>
    <ul v-if="!isChosen" class="plain-list">
      <li v-for="one in starters" :key="one.title">
        <StarterButton :starter="one" @begin="begin(one)" />
      </li>
    </ul>
    <LabelledField v-if="!isChosen && cards.length > 0" label="or from the shelf"
      ><PickField :model-value="''" :options="choicesOf(cards, 'id', 'name', 'choose')" @update:model-value="take"
    /></LabelledField>
    <template v-if="isChosen">
      <LabelledField v-if="starter" label="What is printed on it, or what you call it"
        ><input v-model="held.name" class="field" maxlength="200" autocomplete="off"
      /></LabelledField>
      <p v-else>
        <b>{{ cards.find((card) => card.id === held.card)?.name ?? held.card }}</b>
      </p>
      <p v-if="starter" class="small muted">
        To be looked at later: {{ starter.check.map((one) => one.charAt(0).toLowerCase() + one.slice(1)).join('; ') }}.
      </p>
      <ActButton kind="link" class="small" @click="held = NOTHING">another one</ActButton>
    </template>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: 0.4rem;
}
ul {
  display: grid;
  gap: 0.4rem;
  margin-bottom: 0.5rem;
}
p {
  margin: 0.4rem 0;
}
</style>
