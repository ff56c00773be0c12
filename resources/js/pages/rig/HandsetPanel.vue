<script setup lang="ts">
import { computed } from 'vue'
import type { HandsetItem, RigData } from '@/api/rigs'
import { numberFrom } from '@/composables/numberText'
import type { RigHandle } from '@/composables/useRig'

export interface HandsetPanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<HandsetPanelProps>()
const items = computed(() => props.rig.review.handset)
const left = computed(() => items.value.filter((item) => !item.done).length)
const settings = computed(() => props.rig.document.settings)

function tick(item: HandsetItem, event: Event): void {
  const place = `settings.done.handset/${item.key}`
  void props.handle.change(
    (event.target as HTMLInputElement).checked
      ? { text: `Handset ready: ${item.title.toLowerCase()}`, set: { [place]: true } }
      : { text: `Not done after all: ${item.title.toLowerCase()}`, clear: [place] },
  )
}

function number(key: 'memory' | 'receiver_number', label: string, event: Event): void {
  const field = event.target as HTMLInputElement
  const text = field.value.trim()
  if (text === '') {
    void props.handle.change({ text: `${label} not said`, clear: [`settings.${key}`] })
    return
  }
  const value = numberFrom(text, null)
  if (key === 'receiver_number' && (value === null || !Number.isInteger(value) || value < 0)) field.value = String(settings.value[key] ?? '')
  else void props.handle.change({ text: `${label}: ${text}`, set: { [`settings.${key}`]: value !== null && Number.isInteger(value) ? value : text } })
}

function mode(event: Event): void {
  const value = Number((event.target as HTMLSelectElement).value)
  void props.handle.change(
    value
      ? { text: `Stick mode ${value}`, set: { 'settings.stick_mode': value } }
      : { text: 'Stick mode as on the card', clear: ['settings.stick_mode'] },
  )
}
</script>

<template>
  <div>
    <h2>The handset, made ready</h2>
    <p v-if="items.length === 0" class="muted">Choose a handset on the <RouterLink :to="`/rigs/${rig.slug}/path`">Path</RouterLink> step first.</p>
    <template v-else>
      <p class="muted">Before any value is judged. {{ left === 0 ? 'All of it is done.' : `${left} of ${items.length} still to do.` }}</p>
      <div class="facts">
        <label
          >Model memory <input class="field value" :value="settings.memory ?? ''" maxlength="40" @change="number('memory', 'Model memory', $event)"
        /></label>
        <label
          >Receiver number
          <input
            class="field value"
            :value="settings.receiver_number ?? ''"
            maxlength="6"
            inputmode="numeric"
            @change="number('receiver_number', 'Receiver number', $event)"
        /></label>
        <label
          >Stick mode
          <select class="field" :value="settings.stick_mode ?? ''" @change="mode">
            <option value="">as on the card</option>
            <option v-for="one in [1, 2, 3, 4]" :key="one" :value="one">mode {{ one }}</option>
          </select></label
        >
      </div>
      <ul class="plain-list">
        <li v-for="item in items" :key="item.key">
          <label>
            <input type="checkbox" :checked="item.done" @change="tick(item, $event)" />
            <span
              ><b>{{ item.title }}</b> <span v-if="item.value" class="value">{{ item.value }}</span>
              <small class="muted">{{ item.text }}</small>
              <small v-if="item.warning" class="warning">{{ item.warning }}</small></span
            >
          </label>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem 1.2rem;
  margin: 0.7rem 0;
}
.facts label {
  display: flex;
  flex-direction: column;
  font-size: 0.9rem;
}
.facts .field {
  width: 9rem;
}
li label {
  display: flex;
  gap: 0.8rem;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
li input {
  width: 20px;
  height: 20px;
  flex: none;
  margin-top: 2px;
}
small {
  display: block;
  font-size: 0.9rem;
}
.warning {
  color: var(--amber-text);
  font-weight: 600;
}
</style>
