<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { RigData, RigPlan } from '@/api/rigs'
import { shelfQuery } from '@/api/shelf'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from './FindingLine.vue'
import FunctionList from './FunctionList.vue'
import PathChoice from './PathChoice.vue'
import SettingTicks from './SettingTicks.vue'

export interface PathStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<PathStepProps>()

const shelf = useQuery(shelfQuery)
const cards = computed(() => shelf.data.value?.cards ?? [])
const path = computed(() => props.rig.document.path ?? {})
const handsets = computed(() => cards.value.filter((card) => card.kind === 'handset'))
const crafts = computed(() => cards.value.filter((card) => card.kind === 'controller' || card.kind === 'servo_set'))
const between = computed(() =>
  cards.value
    .filter((card) => ['module', 'receiver', 'controller'].includes(card.kind) && card.id !== path.value.craft)
    .map((card) => ({ value: card.id, label: `${card.name} (${card.kind})` })),
)
const name = (id: string) => cards.value.find((card) => card.id === id)?.name ?? id

const asked = computed(() => JSON.stringify([path.value, props.rig.review.craft.functions, props.rig.document.settings.pack, cards.value.length]))
const canPlan = computed(() => Boolean(path.value.handset && path.value.craft))
const plan = useQuery({
  queryKey: computed(() => ['plan', props.rig.slug, asked.value] as const),
  queryFn: () => postJson<RigPlan>(`/rigs/${props.rig.slug}/plan`, {}),
  enabled: canPlan,
  staleTime: 0,
  placeholderData: (before: RigPlan | undefined) => before,
})
const current = computed(() => props.rig.document.chain.map((card) => card.id).join(' '))
const isLooking = ref(props.rig.document.chain.length === 0)
watch(
  () => props.rig.slug,
  () => (isLooking.value = props.rig.document.chain.length === 0),
)

function set(key: string, value: unknown, text: string): void {
  void props.handle.change({ text, set: { [`path.${key}`]: value } })
}

function setEnd(key: 'handset' | 'craft', event: Event): void {
  const id = (event.target as HTMLSelectElement).value
  set(key, id, `${key === 'handset' ? 'Handset' : 'Craft'}: ${name(id)}`)
}

function setChannels(event: Event): void {
  const field = event.target as HTMLInputElement
  const value = Number(field.value)
  if (Number.isInteger(value) && value >= 1 && value <= 32) set('channels', value, `${value} channels must get through`)
  else field.value = String(props.rig.review.channels)
}

function setPack(event: Event): void {
  const [chemistry, cells] = (event.target as HTMLSelectElement).value.split(' ')
  if (chemistry === '' || chemistry === undefined)
    void props.handle.change({ text: "Handset pack as on the handset's card", clear: ['settings.pack'] })
  else void props.handle.change({ text: `Handset pack: ${cells} ${chemistry} cells`, set: { 'settings.pack': { chemistry, cells: Number(cells) } } })
}

const PACKS = [
  ['lipo', 'LiPo', [1, 2, 3, 4]],
  ['lihv', 'LiHV', [1, 2, 3]],
  ['life', 'LiFe', [2, 3, 4]],
  ['nimh', 'NiMH', [4, 5, 6, 8]],
] as const
const packValue = computed(() => {
  const pack = props.rig.document.settings.pack
  return pack ? `${pack.chemistry} ${pack.cells}` : ''
})

async function take(boxes: string[], links: unknown): Promise<void> {
  const done = await props.handle.change({ text: `Path taken: ${boxes.map(name).join(' → ')}`, set: { chain: boxes, 'settings.links': links } })
  if (done) isLooking.value = false
}

const pathFindings = computed(() => props.rig.review.couplings.flatMap((coupling) => coupling.findings))
</script>

<template>
  <div>
    <div class="head">
      <h2>Path</h2>
      <a-button v-if="rig.document.chain.length > 0" :aria-expanded="isLooking" @click="isLooking = !isLooking">{{
        isLooking ? 'Keep this chain' : 'Look for another way'
      }}</a-button>
    </div>

    <template v-if="!isLooking">
      <p class="muted">What to set in which box, so that the chain joins. Tick a line when it is set in the box, and look again that it stayed.</p>
      <template v-if="rig.review.changes.length > 0">
        <SettingTicks :changes="rig.review.changes" :handle="handle" />
      </template>
      <p v-else class="band calm gap">
        {{
          rig.review.couplings.some((coupling) => coupling.misses.length > 0) ? 'This chain does not join.' : 'Every box may stay as it is delivered.'
        }}
      </p>
      <template v-for="coupling in rig.review.couplings" :key="coupling.from">
        <p v-for="miss in coupling.misses" :key="miss.code" class="band stop gap">
          <b>{{ miss.message }}</b> {{ miss.change }}
        </p>
      </template>
      <FindingLine v-for="finding in pathFindings" :key="finding.code + finding.message" :finding="finding" />
      <dl v-if="rig.review.latency_ms" class="facts">
        <div>
          <dt>Delay, stick to servo</dt>
          <dd>
            <b class="value">{{ rig.review.latency_ms.mean.toFixed(1) }} ms</b> mean,
            <span class="value">{{ rig.review.latency_ms.p95.toFixed(1) }} ms</span> 19 times in 20,
            <span class="value">{{ rig.review.latency_ms.worst.toFixed(1) }} ms</span> at worst
          </dd>
        </div>
        <div>
          <dt>Telemetry</dt>
          <dd>{{ { full: 'from the controller', link: 'of the link only', none: 'none' }[rig.review.telemetry ?? 'none'] }}</dd>
        </div>
      </dl>
      <section v-if="rig.review.latency_stages.length > 0" class="stages">
        <h3>Where the delay arises</h3>
        <table>
          <thead>
            <tr>
              <th scope="col">stage</th>
              <th scope="col">mean</th>
              <th scope="col">share</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="stage in rig.review.latency_stages" :key="stage.name">
              <td>{{ stage.name }}</td>
              <td class="value">{{ stage.mean_ms.toFixed(1) }} ms</td>
              <td class="value">{{ Math.round(stage.share * 100) }} %</td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>

    <form v-else class="ask" @submit.prevent>
      <p class="muted">Say what you hold and what should move. Everything between comes from the <RouterLink to="/shelf">shelf</RouterLink>.</p>
      <div class="fields">
        <label
          >Handset
          <select class="field" :value="path.handset ?? ''" @change="setEnd('handset', $event)">
            <option value="" disabled>Choose</option>
            <option v-for="card in handsets" :key="card.id" :value="card.id">{{ card.name }}</option>
          </select></label
        >
        <label
          >Craft ends in
          <select class="field" :value="path.craft ?? ''" @change="setEnd('craft', $event)">
            <option value="" disabled>Choose</option>
            <option v-for="card in crafts" :key="card.id" :value="card.id">{{ card.name }} · {{ card.line }}</option>
          </select></label
        >
        <label class="narrow"
          >Channels <input class="field value" type="number" min="1" max="32" inputmode="numeric" :value="rig.review.channels" @change="setChannels"
        /></label>
        <label
          >Handset pack
          <select class="field" :value="packValue" @change="setPack">
            <option value="">as on its card</option>
            <optgroup v-for="[chemistry, label, cells] in PACKS" :key="chemistry" :label="label">
              <option v-for="count in cells" :key="count" :value="`${chemistry} ${count}`">{{ count }} {{ label }}</option>
            </optgroup>
          </select></label
        >
        <div class="wide">
          <label id="through-label" for="through">Must be in it (any of your modules, receivers, controllers)</label>
          <a-select
            id="through"
            mode="multiple"
            :value="path.through ?? []"
            :options="between"
            option-filter-prop="label"
            placeholder="whatever suits best"
            style="width: 100%"
            aria-labelledby="through-label"
            @change="(ids: unknown) => set('through', ids, `Must be in the chain: ${(ids as string[]).map(name).join(', ') || 'whatever suits'}`)"
          />
        </div>
        <label class="check"
          ><input
            type="checkbox"
            :checked="path.allow_relay ?? false"
            @change="
              set(
                'allow_relay',
                ($event.target as HTMLInputElement).checked,
                ($event.target as HTMLInputElement).checked ? 'A relay is allowed' : 'No relay',
              )
            "
          />
          A relay may stand between</label
        >
      </div>
      <FunctionList :rig="rig" :handle="handle" />

      <section class="ways" aria-live="polite" aria-label="Ways to join">
        <h3>Ways to join them</h3>
        <p v-if="!canPlan" class="muted">Choose a handset and a craft first.</p>
        <p v-else-if="plan.error.value" class="band stop" role="alert">{{ sentenceOf(plan.error.value) }}</p>
        <p v-else-if="plan.isPending.value" class="muted">Looking through the shelf.</p>
        <template v-else-if="plan.data.value">
          <ol v-if="plan.data.value.paths.length > 0" class="plain-list">
            <li v-for="(way, k) in plan.data.value.paths" :key="way.boxes.join()">
              <PathChoice
                :way="way"
                :names="plan.data.value.names"
                :setting-names="plan.data.value.setting_names"
                :best="k === 0"
                :taken="way.boxes.join(' ') === current"
                @take="take(way.boxes, way.links)"
              />
            </li>
          </ol>
          <div v-else class="band stop">
            <p>
              <b>Nothing on the shelf joins these two.</b> The nearest miss is
              {{ plan.data.value.nearest_miss?.boxes.map((id: string) => plan.data.value?.names[id] ?? id).join(' → ') }}:
            </p>
            <ul>
              <li v-for="miss in plan.data.value.misses" :key="miss.code + miss.message">
                {{ miss.message }} {{ miss.change }} <span class="value small">{{ miss.code }}</span>
              </li>
            </ul>
          </div>
        </template>
      </section>
    </form>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  margin-bottom: 0.3rem;
}
.gap {
  margin-top: 0.6rem;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1.4fr 6.5rem 1fr;
  gap: 0.8rem;
  margin: 0.8rem 0;
}
label {
  display: flex;
  flex-direction: column;
  font-size: 0.9rem;
  gap: 0.15rem;
}
.wide {
  grid-column: 1 / 4;
}
.check {
  flex-direction: row;
  align-items: center;
  gap: 0.6rem;
  align-self: end;
  min-height: 36px;
}
.check input {
  width: 20px;
  height: 20px;
  accent-color: var(--petrol-2);
}
.ways {
  margin-top: 1.2rem;
}
.ways li {
  border-bottom: 1px solid var(--line);
  padding: 0.8rem 0;
}
.band ul {
  margin: 0.4rem 0 0 1.2rem;
}
.band ul li {
  border: 0;
  padding: 0.1rem 0;
}
.stages {
  margin-top: 1.3rem;
}
.facts {
  margin-top: 1.2rem;
}
.facts div {
  display: grid;
  grid-template-columns: 11rem 1fr;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line);
}
.facts dt {
  color: var(--muted);
}
@media (max-width: 900px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
  .wide {
    grid-column: 1 / -1;
  }
  .facts div {
    grid-template-columns: 1fr;
  }
}
</style>
