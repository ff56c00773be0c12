<script setup lang="ts">
import { asChoices } from '@/lib/choice'
import { computed } from 'vue'
import type { FactView, RigData, Told } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import NumberField from '@/components/form/NumberField.vue'
import SelectField from '@/components/form/SelectField.vue'
import TextField from '@/components/form/TextField.vue'
import TickField from '@/components/form/TickField.vue'
import type { RigHandle } from '@/composables/useRig'

/** What nobody can work out and that is looked for a month later: said here, kept, and printed. */
export interface ToldFactsProps {
  rig: RigData
  handle: RigHandle
  group: FactView['group']
  title?: string
}
const props = withDefaults(defineProps<ToldFactsProps>(), { title: 'Also for the sheet' })

const facts = computed(() => props.rig.review.told.filter((fact) => fact.group === props.group))
const save = (fact: FactView) => (value: Told<'tell-fact'>['value']) => props.handle.intend('tell-fact', { fact: fact.fact, value })
const saveChoice = (fact: FactView) => (value: string) => save(fact)(value === '' ? null : value)
const text = (fact: FactView) => (typeof fact.value === 'string' ? fact.value : '')
const hintId = (fact: FactView) => `hint-${fact.fact}`
</script>

<template>
  <section v-if="facts.length > 0" class="told" :aria-label="title">
    <h3>{{ title }}</h3>
    <div class="fields">
      <template v-for="fact in facts" :key="fact.fact">
        <label v-if="fact.kind === 'yes_no'" class="tick"
          ><TickField :value="fact.value === true" :save="save(fact)" />
          <span
            >{{ fact.label }}<span v-if="fact.hint" class="muted small">: {{ fact.hint }}</span></span
          ></label
        >
        <LabelledField v-else :label="fact.unit ? `${fact.label}, ${fact.unit}` : fact.label" :class="{ wide: fact.kind === 'paragraph' }">
          <NumberField
            v-if="fact.kind === 'number'"
            :value="typeof fact.value === 'number' ? fact.value : null"
            :save="save(fact)"
            :lowest="fact.range?.lowest"
            :highest="fact.range?.highest"
            may-be-empty
            maxlength="6"
          />
          <SelectField
            v-else-if="fact.kind === 'choice'"
            :value="text(fact)"
            :options="[{ value: '', label: 'not said' }, ...asChoices(fact.choices)]"
            :save="saveChoice(fact)"
          />
          <TextField
            v-else
            :value="text(fact)"
            :save="save(fact)"
            :maxlength="fact.kind === 'paragraph' ? 2000 : 200"
            :aria-describedby="fact.hint ? hintId(fact) : undefined"
          />
          <b v-if="fact.follows" class="value">{{ fact.follows }}</b>
          <span v-if="fact.hint" :id="hintId(fact)" class="muted small hint">{{ fact.hint }}</span>
        </LabelledField>
      </template>
    </div>
  </section>
</template>

<style scoped>
.told {
  margin-top: 1.4rem;
  border-top: 1px solid var(--line);
  padding-top: 0.8rem;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 0.7rem 1.2rem;
  align-items: start;
  margin-top: 0.5rem;
}
.wide {
  grid-column: 1 / -1;
}
.tick {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 44px;
}
.hint {
  display: block;
  margin-top: 0.15rem;
}
</style>
