<script setup lang="ts">
import type { SwitchAnswer } from '@/api/generated/switch.out'
import type { Finding } from '@/api/generated/finding'
import TravelRuler from '@/components/TravelRuler.vue'
import FindingLine from '@/components/FindingLine.vue'
import { figure } from '@/lib/numberText'
import { type Answers, linesOf } from '../tool'

export interface SwitchProps {
  answer: SwitchAnswer
  answers: Answers
}
defineProps<SwitchProps>()
</script>

<template>
  <div>
    <TravelRuler
      :levels="answer.levels"
      :windows="
        answer.windows.map((window, k) => ({
          name: window.name,
          lo: Number(linesOf(answers.windows ?? '')[k]?.[1]),
          hi: Number(linesOf(answers.windows ?? '')[k]?.[2]),
          ok: window.ok,
        }))
      "
      label="Levels and windows"
    />
    <table>
      <tbody>
        <tr v-for="level in answer.levels" :key="level.position">
          <td class="whole">position {{ level.position }}</td>
          <td class="value">{{ figure(level.pct) }} %</td>
          <td class="value">{{ figure(level.us) }} µs</td>
          <td>
            {{
              answer.windows
                .filter((window) => window.inside.includes(level.position))
                .map((window) => window.name)
                .join(', ') || 'in no window'
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <template v-for="window in answer.windows" :key="window.name">
      <FindingLine v-for="finding in window.findings as Finding[]" :key="finding.message" :finding="finding" />
    </template>
  </div>
</template>
