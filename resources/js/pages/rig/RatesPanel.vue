<script setup lang="ts">
import WordLine from '@/components/WordLine.vue'
import MenuLine from '@/components/MenuLine.vue'
import type { RateRowView } from '@/api/rigs'
import CurveDrawing from '@/components/CurveDrawing.vue'
import NumberField from '@/components/form/NumberField.vue'
import { figure } from '@/lib/numberText'
import type { RigHandle } from '@/composables/useRig'

export interface RatesPanelProps {
  rates: RateRowView[]
  handle: RigHandle
  /** Where the menus have it. */
  menu: string | null
}
const props = defineProps<RatesPanelProps>()

type Key = 'rate_pct' | 'low_rate_pct' | 'expo_pct'
const FIELDS: { key: Key; label: string; lowest: number; highest: number }[] = [
  { key: 'rate_pct', label: 'Rate, %', lowest: 0, highest: 200 },
  { key: 'low_rate_pct', label: 'Low rate, %', lowest: 0, highest: 200 },
  { key: 'expo_pct', label: 'Expo, %', lowest: -100, highest: 100 },
]
/** From the middle, with the ends in force. */
const thrown = (us: { lo: number; hi: number }) => (us.lo === us.hi ? `±${figure(us.hi)} µs` : `−${figure(us.lo)} / +${figure(us.hi)} µs`)
const set = (row: RateRowView, key: Key) => (value: number | null) => props.handle.intend('set-rates', { channel: row.channel, [key]: value })
</script>

<template>
  <section class="rates">
    <h3>Rates and expo</h3>
    <WordLine :words="['rate', 'expo']" />
    <MenuLine :words="menu" />
    <p class="muted small">A rate scales the whole throw; expo softens the middle and leaves the ends. The dashed line is a plain stick.</p>
    <div class="sticks">
      <div v-for="row in rates" :key="row.channel" class="stick">
        <CurveDrawing
          :curve="row.curve"
          :low="row.low_curve"
          :label="`${row.function}: ${thrown(row.throw_us)} at full stick, gain ${figure(row.centre_gain, 2)} at the centre`"
        />
        <div>
          <b>{{ row.function }}</b>
          <label v-for="field in FIELDS" :key="field.key"
            >{{ field.label }}
            <NumberField
              :value="row[field.key]"
              :save="set(row, field.key)"
              :lowest="field.lowest"
              :highest="field.highest"
              :is-signed="field.key === 'expo_pct'"
              :may-be-empty="field.key === 'low_rate_pct'"
              :aria-label="`${row.function}, ${field.label}`"
              maxlength="6"
          /></label>
          <p class="small">
            throw <b class="value">{{ thrown(row.throw_us) }}</b><template v-if="row.low_throw_us !== null"
              >, low <b class="value">{{ thrown(row.low_throw_us) }}</b></template
            >
            <br />gain at centre <b class="value">{{ figure(row.centre_gain, 2) }}</b>
          </p>
        </div>
      </div>
    </div>
  </section>
</template>

<style scoped>
.rates {
  margin-top: 1.4rem;
}
.sticks {
  display: flex;
  flex-wrap: wrap;
  gap: 1rem 1.6rem;
  margin-top: 0.5rem;
}
.stick {
  display: flex;
  gap: 0.9rem;
}
.stick b::first-letter {
  text-transform: uppercase;
}
label {
  display: flex;
  justify-content: space-between;
  gap: 0.7rem;
  align-items: center;
  font-size: 0.88rem;
  padding: 0.1rem 0;
}
label :deep(.field) {
  width: 4.4rem;
  min-height: 30px;
  text-align: right;
  padding: 0.1rem 0.4rem;
}
</style>
