<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { asChoices, choicesOf } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { type CaptureOptions, type ComparedSide, comparedQuery, deskQuery, readingQuery } from '@/api/captures'
import { sentenceOf } from '@/api/http'
import { figure } from '@/lib/numberText'
import FindingLine from '@/components/FindingLine.vue'
import OverlayDrawing from './OverlayDrawing.vue'
import LabelledField from '@/components/form/LabelledField.vue'

const route = useRoute()
const router = useRouter()
const { data: desk } = useQuery(deskQuery)

const text = (key: string) => (typeof route.query[key] === 'string' ? route.query[key] : '')
const sideOf = (key: 'a' | 'b'): ComparedSide => ({ id: Number(text(key)), options: optionsOf(text(`line_${key}`)) })
const sides = computed(() => ({ a: sideOf('a'), b: sideOf('b') }))

function tell(key: string, value: string): void {
  void router.replace({ query: { ...route.query, [key]: value === '' ? undefined : value } })
}

const optionsOf = (line: string): CaptureOptions => (line === '' ? {} : { line })

/** The wires of each capture, to choose from. */
const wiresA = useQuery(computed(() => ({ ...readingQuery(sides.value.a.id, {}, ''), enabled: sides.value.a.id > 0 })))
const wiresB = useQuery(computed(() => ({ ...readingQuery(sides.value.b.id, {}, ''), enabled: sides.value.b.id > 0 })))
const wires = computed(() => ({ a: wiresA.data.value?.answer.wires ?? [], b: wiresB.data.value?.answer.wires ?? [] }))

const {
  data: result,
  error,
  isFetching: isBusy,
} = useQuery(computed(() => ({ ...comparedQuery(sides.value.a, sides.value.b), enabled: sides.value.a.id > 0 && sides.value.b.id > 0 })))
const problem = computed(() => (error.value === null ? '' : sentenceOf(error.value)))
const row = ref(0)
watch(sides, () => (row.value = 0))

const chosen = computed(() => result.value?.comparison.channels[row.value] ?? null)
const delay = computed(() => result.value?.comparison.delay_ms ?? null)
</script>

<template>
  <main id="main" class="page wide">
    <p><RouterLink to="/signals">Signal desk</RouterLink></p>
    <h1>Two captures, laid over one another</h1>
    <p class="muted">
      Before and after a converter, working and failing: what differs in order, scale, delay and rate. Move sticks while both are taken.
    </p>
    <div class="sides">
      <div v-for="side in ['a', 'b'] as const" :key="side">
        <LabelledField :label="side === 'a' ? 'The first one' : 'The second one'"
          ><PickField
            :model-value="text(side)"
            :options="choicesOf(desk?.captures ?? [], 'id', 'name', 'choose a capture')"
            @update:model-value="(id) => tell(side, id)"
        /></LabelledField>
        <LabelledField v-if="wires[side].length > 1" label="wire"
          ><PickField
            :aria-label="side === 'a' ? 'Wire of the first one' : 'Wire of the second one'"
            :model-value="text(`line_${side}`)"
            :options="[{ value: '', label: 'the busiest' }, ...asChoices(wires[side])]"
            @update:model-value="(wire) => tell(`line_${side}`, wire)"
        /></LabelledField>
      </div>
    </div>
    <p v-if="isBusy" role="status">Laying them over one another.</p>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <template v-if="result">
      <p class="sentence">
        First {{ result.comparison.first }}, then {{ result.comparison.second
        }}<template v-if="delay !== null"
          >, <span class="value">{{ figure(delay, 0) }} ms</span> later</template
        >.
      </p>
      <FindingLine v-for="finding in result.comparison.findings" :key="finding.code + finding.message" :finding="finding" />
      <p v-if="result.comparison.findings.length === 0" class="band calm">They say the same: same order, same travel, same centre, same rate.</p>
      <OverlayDrawing v-if="chosen" :compared="result" :row="chosen" />
      <table v-if="result.comparison.channels.length > 0" class="stacks">
        <thead>
          <tr>
            <th scope="col">in the first</th>
            <th scope="col">arrives as</th>
            <th scope="col" class="number">travel</th>
            <th scope="col" class="number">centre shifted</th>
            <th scope="col" class="number">go together</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(one, k) in result.comparison.channels" :key="one.a" :class="{ chosen: k === row }">
            <td>
              <ActButton kind="link" :aria-pressed="k === row" @click="row = k">channel {{ one.a }}</ActButton>
            </td>
            <td data-says="arrives as">
              <b v-if="one.b !== null" class="value">{{ one.b }}</b><span v-else class="muted">not found</span>
              <span v-if="one.reversed" class="line-whole">reversed</span>
            </td>
            <td class="value number" data-says="travel">{{ one.scale === null ? '–' : `${figure(Math.abs(one.scale) * 100, 1)} %` }}</td>
            <td class="value number" data-says="centre shifted">
              {{ one.offset_us === null || one.reversed ? '–' : `${figure(one.offset_us, 1)} µs` }}
            </td>
            <td class="value number" data-says="go together">{{ one.correlation === null ? '–' : figure(Math.abs(one.correlation), 3) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </main>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 1rem;
  margin: 0.9rem 0;
}
.sides label {
  margin-bottom: 0.4rem;
}
.sentence {
  font-size: 1.3rem;
  font-weight: 600;
}
@media (min-width: 861px) {
  .number {
    text-align: right;
  }
}
.chosen {
  background: var(--wash);
}
table {
  margin-top: 0.8rem;
  max-width: 760px;
}
@media (max-width: 700px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
