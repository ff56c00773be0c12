<script setup lang="ts">
import { choicesOf, type Choice } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { GearCardSchemaJsonDefsPack as Pack, RigData, RigPlan, Told } from '@/api/rigs'
import { type CardListed, shelfQuery } from '@/api/shelf'
import LabelledField from '@/components/form/LabelledField.vue'
import NumberField from '@/components/form/NumberField.vue'
import SelectField from '@/components/form/SelectField.vue'
import TickField from '@/components/form/TickField.vue'
import PickMany from '@/components/form/PickMany.vue'
import PackSelect from '@/components/PackSelect.vue'
import { useDraft } from '@/composables/useDraft'
import type { RigHandle } from '@/composables/useRig'
import FunctionList from './FunctionList.vue'
import PathChoice from './PathChoice.vue'

/** What is held and what should move, and the ways the shelf offers to join them. */
export interface PathAskProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<PathAskProps>()
const emit = defineEmits<{ taken: [] }>()

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
/** Once one is chosen there is no way back to none. */
const chooseOf = (of: CardListed[], label: (card: CardListed) => string): Choice[] => [
  { value: '', label: 'Choose', isOff: true },
  ...choicesOf(of, 'id', label),
]
const through = useDraft(() => path.value.through ?? [])

const asked = computed(() => JSON.stringify([path.value, props.rig.review.craft.functions, props.rig.document.settings.pack, cards.value.length]))
const canPlan = computed(() => Boolean(path.value.handset && path.value.craft))
const plan = useQuery({
  queryKey: computed(() => ['plan', props.rig.slug, asked.value] as const),
  queryFn: () => postJson<RigPlan>(`/rigs/${props.rig.slug}/plan`, {}),
  enabled: canPlan,
  staleTime: 0,
  placeholderData: (before: RigPlan | undefined) => before,
})
const current = computed(() => props.rig.review.boxes.map((box) => box.id).join(' '))

const askHandset = (handset: string) => props.handle.intend('ask-handset', { handset })
const askCraft = (craft: string) => props.handle.intend('ask-craft', { craft })
const askChannels = (channels: number | null) => props.handle.intend('ask-channels', { channels: channels ?? props.rig.review.channels })
const tellPack = (pack: Pack | null) => props.handle.intend('tell-handset-pack', { pack })
const allowRelay = (allowed: boolean) => props.handle.intend('allow-relay', { allowed })

function askThrough(boxes: string[]): void {
  through.hold(boxes)
  void through.tell(() => props.handle.intend('ask-through', { boxes }))
}

async function take(told: Told<'take-path'>): Promise<void> {
  if (await props.handle.intend('take-path', told)) emit('taken')
}
</script>

<template>
  <form class="ask" @submit.prevent>
    <p class="muted">Say what you hold and what should move. Everything between comes from the <RouterLink to="/shelf">shelf</RouterLink>.</p>
    <div class="fields">
      <LabelledField label="Handset"
        ><SelectField :value="path.handset ?? ''" :options="chooseOf(handsets, (card) => card.name)" :save="askHandset"
      /></LabelledField>
      <LabelledField label="Craft ends in"
        ><SelectField :value="path.craft ?? ''" :options="chooseOf(crafts, (card) => `${card.name} · ${card.line}`)" :save="askCraft"
      /></LabelledField>
      <LabelledField label="Channels"
        ><NumberField :value="rig.review.channels" :save="askChannels" is-whole :lowest="1" :highest="32" maxlength="2"
      /></LabelledField>
      <LabelledField label="Handset pack"
        ><PackSelect :pack="rig.document.settings.pack ?? null" where="handset" none="as on its card" :save="tellPack"
      /></LabelledField>
      <div class="wide">
        <label for="through">Must be in it (any of your modules, receivers, controllers)</label>
        <PickMany
          id="through"
          aria-label="Must be in it"
          :model-value="through.shown.value"
          :options="between"
          placeholder="whatever suits best"
          @update:model-value="askThrough"
        />
      </div>
      <label class="check"><TickField :value="path.allow_relay ?? false" :save="allowRelay" /> A relay may stand between</label>
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
              @take="take({ boxes: way.boxes, links: way.links })"
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
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 1.4fr 6.5rem minmax(0, 1fr);
  gap: 0.8rem;
  margin: 0.8rem 0;
}
.wide {
  grid-column: 1 / 4;
  font-size: 0.9rem;
  display: grid;
  gap: 0.15rem;
}
.check {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  align-self: end;
  min-height: 36px;
  font-size: 0.9rem;
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
@media (max-width: 900px) {
  .fields {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .wide {
    grid-column: 1 / -1;
  }
}
</style>
