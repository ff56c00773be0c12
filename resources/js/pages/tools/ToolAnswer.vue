<script setup lang="ts">
import { computed } from 'vue'
import type { BindLadderAnswer } from '@/api/generated/bind-ladder.out'
import type { EncodeAnswer } from '@/api/generated/encode.out'
import type { Finding } from '@/api/generated/finding'
import type { LatencyAnswer } from '@/api/generated/latency.out'
import type { OrderAnswer } from '@/api/generated/order.out'
import type { PercentAnswer } from '@/api/generated/percent.out'
import type { PowerAnswer } from '@/api/generated/power.out'
import type { RangeAnswer } from '@/api/generated/range.out'
import type { RatesAnswer } from '@/api/generated/rates.out'
import type { SwitchAnswer } from '@/api/generated/switch.out'
import type { ThresholdsAnswer } from '@/api/generated/thresholds.out'
import type { TuneAnswer } from '@/api/generated/tune.out'
import type { TrainBudget } from '@/api/rigs'
import CurveDrawing from '@/components/CurveDrawing.vue'
import DelayBars from '@/components/DelayBars.vue'
import TrainAnswer from '@/components/TrainAnswer.vue'
import TravelRuler from '@/components/TravelRuler.vue'
import { figure } from '@/composables/numberText'
import FindingLine from '../rig/FindingLine.vue'
import { type Answers, linesOf } from './tools'

export interface ToolAnswerProps {
  /** The verb that answered. */
  tool: string
  answer: Record<string, unknown>
  answers: Answers
}
const props = defineProps<ToolAnswerProps>()

const as = <T,>() => computed(() => props.answer as unknown as T)
const order = as<OrderAnswer>()
const tune = as<TuneAnswer>()
const thresholds = as<ThresholdsAnswer>()
const levels = as<SwitchAnswer>()
const rates = as<RatesAnswer>()
const percent = as<PercentAnswer>()
const train = as<TrainBudget>()
const latency = as<LatencyAnswer>()
const power = as<PowerAnswer>()
const range = as<RangeAnswer>()
const ladder = as<BindLadderAnswer>()
const encoded = as<EncodeAnswer>()
const pairs = (hex: string) => hex.match(/../g) ?? []

const number = (key: string) => Number(props.answers[key])
const three = (prefix: string) => ({ lo: number(`${prefix}lo`), mid: number(`${prefix}mid`), hi: number(`${prefix}hi`) })
const metres = (m: number) => (m >= 1000 ? `${figure(m / 1000, 2)} km` : `${figure(m, 0)} m`)
const WORDS = { ok: 'fits', note: 'fits', check: 'check', fix: 'mend', stop: 'stop' } as Record<string, string>
</script>

<template>
  <div>
    <template v-if="tool === 'order'">
      <p class="big">{{ order.correct ? 'Right: each stick moves what it should.' : 'Wrong order.' }}</p>
      <table>
        <thead>
          <tr>
            <th scope="col">stick</th>
            <th scope="col">leaves on</th>
            <th scope="col">arrives on</th>
            <th scope="col">moves</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in order.trace" :key="row.letter">
            <td class="value">{{ row.letter }}</td>
            <td class="value">{{ row.handset_channel }}</td>
            <td class="value">{{ row.arrives_on }}</td>
            <td class="value" :class="{ bad: row.read_as !== row.letter }">{{ row.read_as }}{{ row.read_as === row.letter ? '' : ', wrong' }}</td>
          </tr>
        </tbody>
      </table>
      <ul v-if="order.fixes.length > 0" class="fixes">
        <li v-for="fix in order.fixes" :key="fix.at">
          <b>{{ fix.change }}</b>
          <template v-if="fix.table">
            <span v-for="row in fix.table" :key="row.letter" class="plug"
              >{{ row.letter }} plug into pin <b class="value">{{ row.pin }}</b>, marked {{ row.label }}</span
            >
          </template>
          <small class="muted">Touches: {{ fix.touches }}</small>
        </li>
      </ul>
    </template>

    <template v-else-if="tool === 'encode'">
      <p class="big">
        {{ encoded.hex.length > 1 ? `${encoded.hex.length} frames in turn, each ` : '' }}{{ pairs(encoded.hex[0] ?? '').length }} bytes in
        <b class="value">{{ figure(encoded.duration_ms, 2) }} ms</b>
      </p>
      <p v-for="(hex, k) in encoded.hex" :key="k" class="bytes value" :aria-label="`Frame ${k + 1}, hex`">{{ pairs(hex).join(' ') }}</p>
      <p class="muted small">Hex, first byte first. Channels not told are sent at centre; a flag the format does not have is left out.</p>
    </template>

    <template v-else-if="tool === 'tune'">
      <template v-for="channel in tune.channels" :key="channel.name">
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
    </template>

    <template v-else-if="tool === 'thresholds'">
      <p class="big" :class="{ bad: !thresholds.arms }">{{ thresholds.arms ? 'It arms.' : 'It never arms.' }}</p>
      <p>
        Low threshold <b class="value">{{ figure(thresholds.low_threshold) }} µs</b>, high threshold
        <b class="value">{{ figure(thresholds.high_threshold) }} µs</b>, dead band <b class="value">{{ figure(thresholds.deadband) }} µs</b>.
      </p>
      <FindingLine v-for="finding in thresholds.findings as Finding[]" :key="finding.message" :finding="finding" />
    </template>

    <template v-else-if="tool === 'switch'">
      <TravelRuler
        :levels="levels.levels"
        :windows="
          levels.windows.map((window, k) => ({
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
          <tr v-for="level in levels.levels" :key="level.position">
            <td>position {{ level.position }}</td>
            <td class="value">{{ figure(level.pct) }} %</td>
            <td class="value">{{ figure(level.us) }} µs</td>
            <td>
              {{
                levels.windows
                  .filter((window) => window.inside.includes(level.position))
                  .map((window) => window.name)
                  .join(', ') || 'in no window'
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <template v-for="window in levels.windows" :key="window.name">
        <FindingLine v-for="finding in window.findings as Finding[]" :key="finding.message" :finding="finding" />
      </template>
    </template>

    <div v-else-if="tool === 'rates'" class="rates">
      <CurveDrawing :curve="rates.curve" label="The curve" />
      <div>
        <p class="big">
          throw <b class="value">±{{ figure(rates.throw_us) }} µs</b>
        </p>
        <p>
          to <span class="value">{{ figure(rates.full_us) }} µs</span> at full stick; gain at the centre
          <b class="value">{{ figure(rates.centre_gain, 2) }}</b>
        </p>
      </div>
    </div>

    <p v-else-if="tool === 'percent'" class="big">
      set <b class="value">{{ figure(percent.percent, 2) }} %</b> there; both send <span class="value">{{ figure(percent.us) }} µs</span>
    </p>

    <TrainAnswer
      v-else-if="tool === 'pulse-train'"
      :budget="train"
      :frame-us="number('frame_us')"
      :channels="number('channels')"
      :used="answers.used ? number('used') : number('channels')"
      :max-us="number('max_us')"
      :held-at="answers.hold_unused_at ? number('hold_unused_at') : null"
    />

    <DelayBars
      v-else-if="tool === 'latency'"
      :ms="{ best: latency.best_ms, mean: latency.mean_ms, p95: latency.p95_ms, worst: latency.worst_ms }"
      :stages="latency.stages"
    />

    <template v-else-if="tool === 'power'">
      <p class="big">
        full <b class="value">{{ figure(power.full_v, 2) }} V</b>, alarm <b class="value">{{ figure(power.low_v, 2) }} V</b>
      </p>
      <p class="muted">Meter from {{ figure(power.meter.from_v, 2) }} to {{ figure(power.meter.to_v, 2) }} V.</p>
      <table>
        <tbody>
          <tr v-for="device in power.devices" :key="device.name">
            <td>{{ device.name }}</td>
            <td :class="{ bad: device.severity !== 'ok' }">
              <b>{{ WORDS[device.severity] }}</b><template v-if="device.message">. {{ device.message }}</template>
            </td>
          </tr>
          <tr>
            <td>load</td>
            <td>
              <span class="value">{{ figure(power.load.ma) }} mA</span
              ><template v-if="power.load.share !== null"
                >, {{ Math.round(power.load.share * 100) }} % of the supply: <b>{{ WORDS[power.load.severity] }}</b></template
              >
            </td>
          </tr>
        </tbody>
      </table>
    </template>

    <template v-else-if="tool === 'range'">
      <p class="big">
        reach <b class="value">{{ metres(range.reach_m) }}</b>
      </p>
      <p v-if="range.margin_db !== null">
        At this distance <b class="value">{{ figure(range.margin_db) }} dB</b> are left; the path loses
        <span class="value">{{ figure(range.path_loss_db ?? 0) }} dB</span>.
      </p>
      <p v-if="range.check_stands_for_m !== null">
        This range check stands for <b class="value">{{ metres(range.check_stands_for_m) }}</b> at full power.
      </p>
      <p>
        Quarter wave: <b class="value">{{ figure(range.quarter_wave_mm) }} mm</b>. Free space, less the margin. Power limits are set by local law.
      </p>
    </template>

    <template v-else-if="tool === 'bind-ladder'">
      <p v-if="ladder.next" class="big">
        Try <b class="value">{{ [ladder.next.variant, ladder.next.channel_mode, ladder.next.region].filter(Boolean).join(', ') }}</b> at
        {{ ladder.next.distance_m }} m
      </p>
      <p v-else class="big">Everything possible was tried and failed.</p>
      <p v-if="ladder.repeat_because" class="band">
        The last try of this one was {{ ladder.repeat_because }}: repeat it before changing anything else.
      </p>
      <p v-if="ladder.expected_minutes !== null" class="muted">{{ figure(ladder.expected_minutes) }} minutes on average until it binds.</p>
      <table v-if="ladder.ladder.length > 0">
        <tbody>
          <tr v-for="(rung, k) in ladder.ladder" :key="k">
            <td>{{ [rung.variant, rung.channel_mode, rung.region].filter(Boolean).join(', ') }}</td>
            <td class="value">{{ Math.round(rung.p * 100) }} %</td>
            <td class="value">{{ figure(rung.minutes) }} min</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.bytes {
  overflow-wrap: anywhere;
  line-height: 1.7;
}
.big {
  font-size: 1.3rem;
  margin-bottom: 0.4rem;
}
.big b {
  font-size: 1.5rem;
}
.bad {
  color: var(--amber-text);
}
.fixes {
  margin: 0.7rem 0 0 1.1rem;
}
.fixes small,
.plug {
  display: block;
}
.rates {
  display: flex;
  gap: 1.4rem;
  align-items: center;
}
</style>
