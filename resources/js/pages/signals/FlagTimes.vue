<script setup lang="ts">
import { computed } from 'vue'
import type { DecodeAnswer } from '@/api/generated/decode.out'
import { figure } from '@/lib/numberText'
import { secondsOf } from '@/lib/scale'

export interface FlagTimesProps {
  answer: DecodeAnswer
}
const props = defineProps<FlagTimesProps>()

const NAMES: Record<string, string> = { failsafe: 'failsafe', frame_lost: 'frame lost' }
const SHOWN = 12
const stretches = computed(() => props.answer.flag_times.filter((one) => NAMES[one.flag] !== undefined))
const moment = (ms: number | null, frame: number) => (ms === null ? `frame ${frame + 1}` : `${figure(secondsOf(ms), 3)} s`)
</script>

<template>
  <section v-if="stretches.length > 0 || answer.others.length > 0" aria-labelledby="flags-title">
    <h2 id="flags-title">Flags and other frames</h2>
    <ul class="plain-list">
      <li v-for="(one, k) in stretches.slice(0, SHOWN)" :key="k">
        <b>{{ NAMES[one.flag] }}</b> up from <span class="value">{{ moment(one.from_ms, one.from_frame) }}</span><template v-if="one.to_ms !== null">
          to <span class="value">{{ moment(one.to_ms, 0) }}</span></template
        >, <span class="value">{{ one.frames }}</span> frames
      </li>
      <li v-if="stretches.length > SHOWN" class="muted">and {{ stretches.length - SHOWN }} stretches more</li>
      <li v-for="other in answer.others" :key="other.type">
        <b>{{ other.name }}</b> <span class="value">0x{{ other.type }}</span
        >, <span class="value">{{ other.count }}</span> frames
        <span v-if="other.last.length > 0" class="last"
          >; the last one says
          <span v-for="(field, k) in other.last" :key="field.name"
            >{{ k > 0 ? ', ' : '' }}{{ field.name }} <b class="value">{{ field.value }}</b>{{ field.unit ? ` ${field.unit}` : '' }}</span
          ></span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  padding: 0.25rem 0;
  border-bottom: 1px solid var(--line);
}
</style>
