<script setup lang="ts">
import type { PowerAnswer } from '@/api/generated/power.out'
import { figure } from '@/lib/numberText'

export interface PowerProps {
  answer: PowerAnswer
}
defineProps<PowerProps>()

const WORDS = { ok: 'fits', note: 'fits', check: 'check', fix: 'mend', stop: 'stop' } as Record<string, string>
</script>

<template>
  <div>
    <p class="big">
      full <b class="value">{{ figure(answer.full_v, 2) }} V</b>, alarm <b class="value">{{ figure(answer.low_v, 2) }} V</b>
    </p>
    <p class="muted">Meter from {{ figure(answer.meter.from_v, 2) }} to {{ figure(answer.meter.to_v, 2) }} V.</p>
    <table>
      <tbody>
        <tr v-for="device in answer.devices" :key="device.name">
          <td class="device">{{ device.name }}</td>
          <td :class="{ bad: device.severity !== 'ok' }">
            <b>{{ WORDS[device.severity] }}</b><template v-if="device.message">: {{ device.message }}</template>
          </td>
        </tr>
        <tr>
          <td>load</td>
          <td>
            <span class="value">{{ figure(answer.load.ma) }} mA</span
            ><template v-if="answer.load.share !== null"
              >, {{ Math.round(answer.load.share * 100) }} % of the supply: <b>{{ WORDS[answer.load.severity] }}</b></template
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.device {
  min-width: 6rem;
}
</style>
