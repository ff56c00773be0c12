<script setup lang="ts">
import AntennaDrawing from '@/components/AntennaDrawing.vue'
import WordLine from '@/components/WordLine.vue'
import { computed } from 'vue'
import type { GearCardSchemaJsonDefsPack as Pack, RigData, WireRow, WireView } from '@/api/rigs'
import NumberField from '@/components/form/NumberField.vue'
import TextField from '@/components/form/TextField.vue'
import TickField from '@/components/form/TickField.vue'
import WireDrawing from '@/components/WireDrawing.vue'
import PackSelect from '@/components/PackSelect.vue'
import type { RigHandle } from '@/composables/useRig'
import ToldFacts from './ToldFacts.vue'

export interface WiringStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<WiringStepProps>()

const wiring = computed(() => props.rig.review.wiring)
const LINES = ['signal', 'plus', 'ground'] as const

function sentence(wire: WireView): string {
  const level = wire.level_v === null ? 'not known' : `${wire.level_v} V`
  const up = wire.polarity === 'flipped' ? 'flipped' : wire.polarity === null ? 'polarity not known' : 'as the format has it'
  if (wire.kind === 'bay') return `${wire.format}. The bay's own contacts carry signal, plus and ground.`
  return `${wire.format}; ${up}; high level ${level}, ${wire.to_name} takes ${wire.takes}.`
}

const colour = (row: WireRow, wire: (typeof LINES)[number]) => (text: string) =>
  props.handle.intend('colour-wire', { row: row.key, wire, colour: text })
const tellWired = (isWired: boolean) => props.handle.intend('tell-wired', { wired: isWired })
/** Of the receiver's antenna, which comes last. */
const tip = computed(() => wiring.value.antennas[wiring.value.antennas.length - 1]?.quarter_wave_mm ?? null)
const tellAntenna = (antenna: string) => props.handle.intend('tell-antenna', { antenna })
const tellPack = (pack: Pack | null) => props.handle.intend('tell-craft-pack', { pack })
const tellSupply = (box: string) => (pack: Pack | null) => props.handle.intend('tell-supply', { box, pack })
const tellVolts = (box: string) => (volts: number | null) => props.handle.intend('tell-supply', { box, volts })
const supplyOf = (box: string) => props.rig.document.settings.supplies?.[box]
const WORDS = { ok: 'fits', check: 'not known', fix: 'mend', stop: 'stop' } as const
</script>

<template>
  <div>
    <h2>Wiring</h2>
    <WordLine :words="['wire format', 'inverted', 'level']" />
    <p v-if="wiring.wires.length === 0" class="muted">
      Wires are known once the chain joins. <RouterLink :to="`/rigs/${rig.slug}/path`">Choose the path</RouterLink> first.
    </p>
    <template v-else>
      <p class="muted">Power off, propellers off. Every wire, from pin to pin; write down the colours you have in front of you.</p>
      <section v-for="wire in wiring.wires" :key="wire.from" class="wire">
        <h3>{{ wire.from_name }} to {{ wire.to_name }}</h3>
        <p class="small muted">{{ sentence(wire) }}</p>
        <div class="beside">
          <WireDrawing v-if="wire.kind !== 'bay'" class="drawn" :wire="wire" />
          <div class="scroll" tabindex="0" role="region" :aria-label="`Wires ${wire.from_name} to ${wire.to_name}`">
            <table class="stacks">
              <thead>
                <tr>
                  <th scope="col">{{ wire.from_name }}</th>
                  <th scope="col">{{ wire.to_name }}</th>
                  <th scope="col">carries</th>
                  <template v-if="wire.kind !== 'bay'"
                    ><th v-for="line in LINES" :key="line" scope="col">{{ line }}</th></template
                  >
                </tr>
              </thead>
              <tbody>
                <tr v-for="row in wire.rows" :key="row.key">
                  <td class="whole" :data-says="wire.from_name">{{ row.from_pin }}</td>
                  <td :data-says="wire.to_name">
                    {{ row.to_pin }}<span v-if="row.note" class="note">{{ row.note }}</span>
                  </td>
                  <td class="whole" data-says="carries">{{ row.carries }}</td>
                  <template v-if="wire.kind !== 'bay'">
                    <td v-for="line in LINES" :key="line" :data-says="line">
                      <TextField
                        class="colour"
                        :value="row.colours[line] ?? ''"
                        :save="colour(row, line)"
                        :aria-label="`${row.from_pin}: colour of ${line}`"
                        placeholder="colour"
                        maxlength="40"
                      />
                    </td>
                  </template>
                </tr>
              </tbody>
            </table>
          </div>
        </div>
      </section>
      <label class="tick"><TickField :value="wiring.wired" :save="tellWired" /> All of it is wired like this</label>

      <section>
        <h3>Power</h3>
        <div class="scroll" tabindex="0" role="region" aria-label="Power">
          <table class="stacks">
            <thead>
              <tr>
                <th scope="col">box</th>
                <th scope="col">fed by</th>
                <th scope="col">flat to full</th>
                <th scope="col">takes</th>
                <th scope="col">verdict</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in wiring.power" :key="row.name" :class="row.severity">
                <td class="long">
                  <b>{{ row.name }}</b>
                </td>
                <td data-says="fed by">{{ row.from }}</td>
                <td class="value" data-says="flat to full">
                  {{ row.low_v === null ? 'not known' : row.low_v === row.full_v ? `${row.full_v} V` : `${row.low_v} to ${row.full_v} V` }}
                </td>
                <td class="value" data-says="takes">{{ row.takes }}</td>
                <td class="long">
                  <b>{{ WORDS[row.severity] }}</b><span v-if="row.severity !== 'ok'">: {{ row.message }}</span>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <label class="pack"
          >The receiver is fed by
          <PackSelect :pack="rig.document.settings.craft_pack ?? null" where="craft" none="the craft itself" prefix="a pack: " :save="tellPack"
        /></label>
        <div
          v-for="row in wiring.power.filter((one) => one.is_to_tell)"
          :key="row.box"
          class="pack"
          role="group"
          :aria-label="`What feeds ${row.name}`"
        >
          {{ row.name }} is fed by
          <PackSelect
            :pack="supplyOf(row.box)?.pack ?? null"
            where="craft"
            none="no pack of its own"
            prefix="its own pack: "
            :save="tellSupply(row.box)"
            :aria-label="`Pack of ${row.name}`"
          />
          or a regulator of
          <NumberField
            class="volts"
            :value="supplyOf(row.box)?.volts ?? null"
            :save="tellVolts(row.box)"
            :lowest="0.1"
            :highest="100"
            may-be-empty
            :aria-label="`Regulator of ${row.name}, V`"
            maxlength="6"
          />
          V
        </div>
      </section>
      <section class="halves">
        <div>
          <h3>Antennas</h3>
          <ul>
            <li v-for="antenna in wiring.antennas" :key="antenna.text">{{ antenna.text }}</li>
          </ul>
          <AntennaDrawing v-if="tip !== null" :tip-mm="tip" />
          <fieldset v-if="wiring.antenna_places.length > 0" class="places">
            <legend>Two ways for the receiver's antenna, and what each costs</legend>
            <label v-for="one in wiring.antenna_places" :key="one.place">
              <input type="radio" name="antenna" :checked="one.is_chosen" @change="tellAntenna(one.place)" />
              <span
                ><b>{{ one.place }}</b
                ><span class="muted small">{{ one.price }}</span></span
              >
            </label>
            <label class="own"
              >or in your own words
              <TextField
                :value="rig.document.settings.antenna ?? ''"
                :save="tellAntenna"
                maxlength="200"
                placeholder="behind the canopy"
                aria-label="Where the receiver's antenna sits"
            /></label>
          </fieldset>
        </div>
        <div>
          <h3>Switching on and off</h3>
          <ol>
            <li v-for="line in wiring.switch_on" :key="line">{{ line }}</li>
          </ol>
        </div>
      </section>
      <ToldFacts :rig="rig" :handle="handle" group="wiring" />
      <ToldFacts :rig="rig" :handle="handle" group="notes" title="To remember, on the sheet" />
    </template>
  </div>
</template>

<style scoped>
.wire {
  margin-top: 1rem;
  container-type: inline-size;
}
/* Where there is room, the drawing stands beside its table. */
@container (min-width: 960px) {
  .beside:has(.drawn) {
    display: grid;
    grid-template-columns: minmax(0, 26rem) minmax(0, 1fr);
    gap: 1.6rem;
    align-items: start;
  }
}
.scroll {
  overflow-x: auto;
}
.drawn {
  max-width: 34rem;
}
:deep(.volts) {
  width: 5rem;
}
.note {
  display: block;
  color: var(--amber-text);
  font-size: 0.85rem;
}
:deep(.colour) {
  width: 6.2rem;
  min-height: 32px;
  padding: 0.15rem 0.45rem;
}
.tick {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  font-weight: 600;
  min-height: 44px;
  margin-top: 0.4rem;
}
section h3 {
  margin-top: 1rem;
}
.stop td {
  background: var(--stop-fill);
  color: var(--stop);
}
.fix td,
.check td {
  color: var(--amber-text);
}
.pack {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem 0.6rem;
  margin-top: 0.6rem;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1.5rem;
}
.halves ul,
.halves ol {
  padding-left: 1.1rem;
}
.halves li {
  margin-top: 0.25rem;
}
.places {
  margin: 0.6rem 0 0;
  padding: 0;
  border: 0;
}
.places legend {
  font-weight: 600;
  padding: 0;
}
.places label {
  display: flex;
  gap: 0.6rem;
  align-items: baseline;
  padding: 0.35rem 0;
}
.places label .muted {
  display: block;
}
.places .own {
  flex-wrap: wrap;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
