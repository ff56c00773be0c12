<script setup lang="ts">
import type { TuneAnswer } from '@/api/generated/tune.out'
import type { Finding } from '@/api/generated/finding'
import TravelRuler from '@/components/TravelRuler.vue'
import FindingLine from '@/components/FindingLine.vue'
import { figure } from '@/lib/numberText'
import { type Answers } from '../tool'

export interface TuneProps {
  answer: TuneAnswer
  answers: Answers
}
const props = defineProps<TuneProps>()

const number = (key: string) => Number(props.answers[key])
const three = (prefix: string) => ({ lo: number(`${prefix}lo`), mid: number(`${prefix}mid`), hi: number(`${prefix}hi`) })
</script>

<template>
  <div>
    <template v-for="channel in answer.channels" :key="channel.name">
      <p class="big">
        ends <b class="value">{{ figure(channel.settings.lo_pct, 2) }} / {{ figure(channel.settings.hi_pct, 2) }} %</b>, sub-trim
        <b class="value">{{ figure(channel.settings.subtrim, 2) }}</b>
      </p>
      <p>
        This will give
        <b class="value">{{ figure(channel.predicted.lo) }} / {{ figure(channel.predicted.mid) }} / {{ figure(channel.predicted.hi) }} µs</b>.
      </p>
      <TravelRuler :target="three('target_')" :read="three('')" :after="channel.predicted" label="Target, reading and prediction" />
      <FindingLine v-for="finding in channel.findings as Finding[]" :key="finding.message" :finding="finding" />
    </template>
  </div>
</template>
