<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useIntervalFn, usePreferredReducedMotion } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { LossStage } from '@/api/rigs'

/** The way of a loss through the chain, box by box, as it would go; it can be played. */
export interface LossWayProps {
  way: LossStage[]
}
const props = defineProps<LossWayProps>()

const STEP_MS = 1100
/** How the line out of a box looks: by its stroke and by a word, not by colour alone. */
const FLOW = { silent: 'nothing', old: 'old values', stored: 'stored values', flagged: 'a flag', unknown: 'not known' } as const
const motion = usePreferredReducedMotion()
/** How far it has come; all of it, unless it is played. */
const at = ref(Infinity)
const isPlaying = computed(() => at.value < props.way.length)
const { pause, resume } = useIntervalFn(
  () => {
    at.value += 1
    if (!isPlaying.value) stop()
  },
  STEP_MS,
  { immediate: false },
)

function play(): void {
  if (motion.value === 'reduce') return
  at.value = 0
  resume()
}

function stop(): void {
  pause()
  at.value = Infinity
}
</script>

<template>
  <div class="way">
    <ol class="plain-list" :aria-label="`The way of the loss, in ${way.length} steps`">
      <li v-for="(stage, k) in way" :key="k" :class="{ ahead: k > at, now: k === at, harmful: stage.is_harmful }">
        <div class="box">
          <b>{{ stage.box }}</b>
          <span>{{ stage.says }}</span>
        </div>
        <div v-if="stage.flow" class="flow" :class="stage.flow">
          <svg viewBox="0 0 60 14" preserveAspectRatio="none" aria-hidden="true" focusable="false"><path d="M0 7H60" /></svg>
          <span v-if="k === 0 && stage.flow === 'silent'" class="cut" aria-hidden="true">✕</span>
          <small>{{ k === 0 && stage.flow === 'silent' ? 'the link' : FLOW[stage.flow] }}</small>
        </div>
      </li>
    </ol>
    <ActButton v-if="motion !== 'reduce'" size="small" @click="isPlaying ? stop() : play()">{{ isPlaying ? 'All at once' : 'Play it' }}</ActButton>
  </div>
</template>

<style scoped>
.way {
  margin: 0.7rem 0;
}
ol {
  display: flex;
  flex-wrap: wrap;
  row-gap: 0.6rem;
  margin-bottom: 0.4rem;
}
li {
  display: flex;
  align-items: center;
  flex: 1 1 12rem;
  min-width: 0;
  transition: opacity 0.25s;
}
li:last-child {
  flex-grow: 0.6;
}
.ahead {
  opacity: 0.18;
}
.box {
  flex: 1 1 auto;
  min-width: 0;
  border: var(--stroke) solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.35rem 0.6rem;
  line-height: 1.3;
}
.now .box {
  border-color: var(--amber-line);
  box-shadow: 0 0 0 2px var(--amber-fill);
}
.harmful .box {
  border-color: var(--stop);
  color: var(--stop);
  font-weight: 600;
}
.box b,
.box span {
  display: block;
}
.box span {
  font-size: 0.88rem;
}
.flow {
  flex: 0 0 76px;
  position: relative;
  text-align: center;
  line-height: 1.1;
}
.flow svg {
  display: block;
  width: 100%;
  height: 14px;
}
.flow path {
  stroke: var(--petrol-2);
  stroke-width: 2;
  fill: none;
  vector-effect: non-scaling-stroke;
}
.flow small {
  font-size: 0.75rem;
  color: var(--muted);
}
.silent path {
  stroke: var(--muted);
  stroke-dasharray: 2 5;
}
.old path {
  stroke: var(--stop);
  stroke-width: 3;
}
.old small {
  color: var(--stop);
}
.unknown path {
  stroke: var(--amber-line);
  stroke-dasharray: 6 4;
}
.cut {
  position: absolute;
  left: 0;
  right: 0;
  top: -4px;
  color: var(--stop);
  font-weight: 700;
}
@media (max-width: 700px) {
  ol {
    flex-direction: column;
  }
  li {
    flex-direction: column;
    align-items: stretch;
    flex-basis: auto;
  }
  .flow {
    flex-basis: auto;
    display: flex;
    gap: 0.5rem;
    align-items: center;
    padding: 0.15rem 0 0.15rem 1rem;
  }
  .flow svg {
    width: 34px;
  }
  .cut {
    right: auto;
    left: 1.9rem;
  }
}
@media print {
  .ant-btn {
    display: none;
  }
}
</style>
