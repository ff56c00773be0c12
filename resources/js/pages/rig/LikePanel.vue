<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { getJson, sentenceOf } from '@/api/http'
import { type LikePartView, type LikeView, type RigData, rigsQuery } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import type { RigHandle } from '@/composables/useRig'
import { useTicked } from '@/composables/useTicked'

export interface LikePanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<LikePanelProps>()

const other = ref('')
const rigs = useQuery(rigsQuery)
const others = computed(() => (rigs.data.value?.rigs ?? []).filter((one) => one.slug !== props.rig.slug))
const like = useQuery({
  queryKey: computed(() => ['like', props.rig.slug, props.rig.revision, other.value] as const),
  queryFn: () => getJson<LikeView>(`/rigs/${props.rig.slug}/like/${other.value}`),
  enabled: computed(() => other.value !== ''),
})
const parts = computed(() => like.data.value?.parts.filter((part) => part.lines.length + part.left_out.length > 0) ?? [])

/** Lines that are not to be taken over: all are, unless said. */
const left = useTicked()
watch(other, () => left.only([]))
const idOf = (part: LikePartView, key: string) => `${part.part}/${key}`
const chosen = (part: LikePartView) => part.lines.filter((line) => !left.has(idOf(part, line.key))).map((line) => line.key)
</script>

<template>
  <section class="like" aria-label="Like another rig, but">
    <h3>Like another rig, but …</h3>
    <p class="muted small">What is set can be taken over. What was read, bound, stored in a receiver or proven is of that craft alone, and is not.</p>
    <LabelledField label="Like"
      ><PickField v-model="other" aria-label="Like which rig" :options="choicesOf(others, 'slug', 'name', 'choose a rig')"
    /></LabelledField>
    <p v-if="like.error.value" class="band stop" role="alert">{{ sentenceOf(like.error.value) }}</p>
    <p v-else-if="like.data.value && parts.length === 0" class="band calm">Nothing that can be taken over differs.</p>
    <div v-for="part in parts" :key="part.part" role="group" :aria-label="part.title" class="part">
      <h4>{{ part.title }}</h4>
      <ul class="plain-list">
        <li v-for="line in part.lines" :key="line.key">
          <label>
            <input type="checkbox" :checked="!left.has(idOf(part, line.key))" @change="left.toggle(idOf(part, line.key))" />
            <b>{{ line.name }}</b> <span><span class="muted">here</span> {{ line.here }}</span>
            <span><span class="muted">there</span> {{ line.there }}</span>
          </label>
        </li>
        <li v-for="line in part.left_out" :key="line" class="muted">Not taken: {{ line }}</li>
      </ul>
      <ActButton
        v-if="part.lines.length > 0"
        :disabled="chosen(part).length === 0 || handle.isSending.value"
        @click="handle.beLike(other, part.part, chosen(part))"
        >Take over {{ chosen(part).length }} of {{ part.lines.length }}</ActButton
      >
    </div>
  </section>
</template>

<style scoped>
.like {
  margin: 0.8rem 0;
}
.part {
  margin-top: 0.7rem;
  border-top: 1px solid var(--line);
  padding-top: 0.4rem;
}
.part label {
  display: grid;
  grid-template-columns: auto 7rem 1fr 1fr;
  gap: 0.2rem 0.7rem;
  align-items: baseline;
  padding: 0.3rem 0;
}
h4 {
  margin: 0 0 0.2rem;
}
@media (max-width: 700px) {
  .part label {
    grid-template-columns: auto 1fr;
    min-height: 44px;
  }
  .part label > span {
    grid-column: 2;
  }
}
</style>
