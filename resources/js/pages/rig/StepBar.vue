<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { RigData } from '@/api/rigs'
import StateMark, { STATE_WORDS } from '@/components/StateMark.vue'
import { useNarrow } from '@/composables/useNarrow'

/** The steps in the order of the job with how each stands, and what stands beside them. */
export interface StepBarProps {
  rig: RigData
  step: string
  /** Whether somebody asked for this step: then it is brought into sight. */
  isAsked: boolean
}
const props = defineProps<StepBarProps>()

const BESIDE = [
  ['timing', 'Timing'],
  ['history', 'History'],
] as const

const isHandsetReady = computed(() => props.rig.review.handset.length > 0 && props.rig.review.handset.every((item) => item.done))
const isNarrow = useNarrow()
const bar = ref<HTMLElement | null>(null)
const step = computed(() => props.step)

/** On a phone the chain fills the screen: a step that is asked for is brought into sight. */
watch(
  [step, bar],
  async () => {
    await nextTick()
    if (!bar.value || !props.isAsked || !isNarrow.value) return
    bar.value.scrollIntoView({ block: 'start' })
    const link = bar.value.querySelector<HTMLElement>('.here')
    if (link) bar.value.querySelector('ol')?.scrollTo({ left: link.offsetLeft - 40 })
  },
  { flush: 'post' },
)
</script>

<template>
  <nav ref="bar" class="steps" aria-label="Steps">
    <ol class="plain-list">
      <!-- Before any value is judged: a wrong calibration looks like every other fault. -->
      <li>
        <RouterLink :to="`/rigs/${rig.slug}/handset`" :class="{ here: step === 'handset' }" :aria-current="step === 'handset' ? 'step' : undefined">
          <span class="digit value" aria-hidden="true">·</span>Handset<StateMark v-if="isHandsetReady" state="done" /><span
            v-if="isHandsetReady"
            class="sr-only"
            >{{ STATE_WORDS.done }}</span
          >
        </RouterLink>
      </li>
      <li v-for="(entry, k) in rig.review.steps" :key="entry.key">
        <RouterLink
          :to="`/rigs/${rig.slug}/${entry.key}`"
          :class="{ here: step === entry.key }"
          :aria-current="step === entry.key ? 'step' : undefined"
        >
          <span class="digit value">{{ k + 1 }}</span>{{ entry.title }}<StateMark :state="entry.state" /><span class="sr-only">{{
            STATE_WORDS[entry.state]
          }}</span>
        </RouterLink>
      </li>
      <li v-for="[key, title] in BESIDE" :key="key" class="other">
        <RouterLink :to="`/rigs/${rig.slug}/${key}`" :class="{ here: step === key }" :aria-current="step === key ? 'step' : undefined">{{
          title
        }}</RouterLink>
      </li>
    </ol>
  </nav>
</template>

<style scoped>
.steps {
  border-right: 1px solid var(--line);
  padding: 1rem 0 1rem 0.6rem;
}
.steps a {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  padding: 0.45rem 0.7rem;
  color: var(--ink);
  text-decoration: none;
  border-radius: var(--radius) 0 0 var(--radius);
}
.steps a :deep(.state-mark) {
  margin-left: auto;
}
.steps a.here {
  background: var(--card);
  font-weight: 600;
  box-shadow: inset 3px 0 0 var(--petrol);
}
.digit {
  color: var(--muted);
  font-size: 0.8rem;
}
.other:nth-last-child(3) {
  margin-top: 0.8rem;
}
@media (max-width: 700px) {
  .steps {
    position: sticky;
    top: 44px;
    scroll-margin-top: 44px;
    z-index: 5;
    border-right: 0;
    border-bottom: 1px solid var(--line);
    background: var(--paper);
    padding: 0.3rem 0.5rem;
  }
  .steps ol {
    position: relative;
    display: flex;
    overflow-x: auto;
  }
  .steps a {
    padding: 0.65rem 0.6rem;
    border-radius: var(--radius);
    white-space: nowrap;
  }
  .steps a.here {
    box-shadow: inset 0 -3px 0 var(--petrol);
  }
  .digit {
    display: none;
  }
  .other:nth-last-child(3) {
    margin: 0;
  }
}
</style>
