<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import WordLine from '@/components/WordLine.vue'
import { computed } from 'vue'
import type { OrderFixView, RigData, Told } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import MovementCheck from './MovementCheck.vue'
import OrderTrace from './OrderTrace.vue'
import { NAME_OF } from '@/lib/letters'

export interface OrderStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<OrderStepProps>()

const order = computed(() => props.rig.review.order)
const verdict = computed(() => {
  if (order.value.by_plugs) return 'Right, by where the plugs go.'
  if (order.value.reader?.unlabelled) return 'The pins have no labels: put each plug where its function arrives.'
  if (order.value.right) return 'Right: each stick moves what it should.'
  const wrong =
    order.value.trace?.find((row) => row.letter === 'T' && row.read_as !== 'T') ?? order.value.trace?.find((row) => row.letter !== row.read_as)
  return wrong ? `Wrong: the ${NAME_OF[wrong.letter]} stick would move ${NAME_OF[wrong.read_as]}.` : ''
})

const toldOrder = computed(() => order.value.told_order as Told<'set-handset-order'>['order'])

function make(fix: OrderFixView): void {
  void props.handle.intend('mend-order', { at: fix.at, ...(fix.module === undefined ? {} : { module: fix.module }) })
}
</script>

<template>
  <div>
    <h2>Order</h2>
    <WordLine :words="['channel order', 'remapping', 'reversal']" />
    <p class="muted small">
      Twenty seconds instead of Order, Travel and Switches by hand: <RouterLink :to="`/rigs/${rig.slug}/dance`">dance it</RouterLink>, or
      <RouterLink :to="`/rigs/${rig.slug}/dance?short=1`">only the sticks</RouterLink>.
    </p>
    <p v-if="order.unjudged" class="band calm">{{ order.unjudged }}</p>
    <template v-else>
      <p class="verdict" :class="{ wrong: !order.right }">{{ verdict }}</p>
      <OrderTrace :order="order" />

      <div v-if="order.disagrees" class="band disagrees">
        <p>{{ order.disagrees }} One of the two is not so.</p>
        <ActButton @click="handle.intend('follow-order', {})">Put the functions where the order has them</ActButton>
        <ActButton v-if="order.told_order" @click="handle.intend('set-handset-order', { order: toldOrder })"
          >The handset sends {{ order.told_order.split('').join(' ') }}</ActButton
        >
      </div>
      <section v-if="order.fixes.length > 0 && !order.by_plugs">
        <h3>Ways to mend it, cheapest first</h3>
        <p class="muted small">
          Two ways are usual: some set the handset once to what the controller expects, some leave the handset alone. Any one of these is enough.
        </p>
        <ul class="plain-list fixes">
          <li v-for="fix in order.fixes" :key="fix.at + fix.title">
            <div>
              <b>{{ fix.title }}</b>
              <p>{{ fix.change }}</p>
              <table v-if="fix.table" class="plugs">
                <tbody>
                  <tr v-for="row in fix.table" :key="row.letter">
                    <td class="whole">{{ NAME_OF[row.letter] }} plug</td>
                    <td>
                      into pin <b class="value">{{ row.pin }}</b>
                    </td>
                    <td class="muted">
                      marked <b class="value">{{ row.label }}</b>
                    </td>
                  </tr>
                </tbody>
              </table>
              <p class="muted small">Touches: {{ fix.touches }}</p>
            </div>
            <ActButton @click="make(fix)">Do it this way</ActButton>
          </li>
        </ul>
      </section>
      <p v-if="order.by_plugs">
        <ActButton kind="link" @click="handle.intend('plug-by-labels', {})">Plug by the labels instead</ActButton>
      </p>

      <section v-if="order.auxiliaries.length > 0">
        <h3>Beyond the four sticks</h3>
        <table class="plugs">
          <tbody>
            <tr v-for="entry in order.auxiliaries" :key="entry.function">
              <td class="whole">{{ entry.function }}</td>
              <td class="whole">
                channel <b class="value">{{ entry.channel }}</b>
              </td>
              <td class="muted">
                auxiliary <b class="value">{{ entry.auxiliary }}</b> as a controller counts
              </td>
            </tr>
          </tbody>
        </table>
      </section>

      <MovementCheck :rig="rig" :handle="handle" />
    </template>
  </div>
</template>

<style scoped>
.verdict.wrong {
  color: var(--amber-text);
}
.fixes li {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 1rem;
  padding: 0.7rem 0;
  border-bottom: 1px solid var(--line);
}
.disagrees :deep(button) {
  margin: 0.4rem 0.6rem 0 0;
}
.plugs {
  width: auto;
}
.plugs td {
  border: 0;
  padding: 0.1rem 1.2rem 0.1rem 0;
}
section {
  margin-top: 1.1rem;
}
@media (max-width: 700px) {
  .fixes li {
    flex-direction: column;
  }
}
</style>
