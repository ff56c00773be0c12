<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { ApiError, postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import { shelfQuery, startersQuery } from '@/api/shelf'
import LabelledField from '@/components/form/LabelledField.vue'
import { useNotice } from '@/composables/useNotice'
import HeldBox from './HeldBox.vue'
import { CRAFT_KINDS, type Held, NOTHING } from './start'

/** The gear in front of somebody, from one page to a rig that is joined where it joins. */
const router = useRouter()
const client = useQueryClient()
const notice = useNotice()
const starters = useQuery(startersQuery)
const shelf = useQuery(shelfQuery)

/** What was chosen and typed survives a reload. */
const name = useSessionStorage('linguator.start.name', '')
const kind = useSessionStorage('linguator.start.kind', 'plane')
const boxes = useSessionStorage<Record<'handset' | 'module' | 'receiver' | 'craft', Held>>('linguator.start.boxes', {
  handset: NOTHING,
  module: NOTHING,
  receiver: NOTHING,
  craft: NOTHING,
})
const family = useSessionStorage('linguator.start.family', '')
const variant = useSessionStorage('linguator.start.variant', '')

const PLACES = [
  { key: 'handset', title: 'In your hand', kinds: ['handset'], isNeeded: true },
  { key: 'module', title: 'A module in its bay', kinds: ['module'], isNeeded: false },
  { key: 'receiver', title: 'On the craft', kinds: ['receiver'], isNeeded: true },
  { key: 'craft', title: 'What it drives', kinds: ['servo_set', 'controller'], isNeeded: true },
] as const

/** A starter says nothing of its radio: it is asked for at once, because nothing joins without it. */
const asksAir = computed(() => (['handset', 'module', 'receiver'] as const).some((place) => boxes.value[place].starter !== ''))
const isBusy = ref(false)
const problem = ref({ path: '', text: '' })
const missing = computed(() =>
  PLACES.filter((place) => place.isNeeded && boxes.value[place.key].starter === '' && boxes.value[place.key].card === ''),
)

const told = (held: Held) => {
  if (held.card !== '') return { card: held.card }
  return held.starter === '' ? null : { starter: held.starter, name: held.name.trim() || held.starter }
}

function wrong(): { path: string; text: string } {
  if (name.value.trim() === '') return { path: 'name', text: 'Give the rig the name of its craft.' }
  const place = missing.value[0]
  if (place) return { path: place.key, text: `${place.title}: choose what it looks most like.` }
  if (asksAir.value && (family.value.trim() === '') !== (variant.value.trim() === ''))
    return { path: 'air', text: 'Both of it, family and variant, or leave both empty: then it stays not known, and nothing joins yet.' }
  return { path: '', text: '' }
}

async function start(): Promise<void> {
  problem.value = wrong()
  if (problem.value.text !== '' || isBusy.value) return
  isBusy.value = true
  try {
    const { handset, module, receiver, craft } = boxes.value
    const air = asksAir.value && family.value.trim() !== '' ? { family: family.value.trim(), variant: variant.value.trim() } : null
    const made = await postJson<RigData>('/start', {
      name: name.value.trim(),
      craft_kind: kind.value,
      handset: told(handset),
      module: told(module),
      receiver: told(receiver),
      craft: told(craft),
      air,
    })
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
    void client.invalidateQueries({ queryKey: shelfQuery.queryKey })
    name.value = family.value = variant.value = ''
    boxes.value = { handset: NOTHING, module: NOTHING, receiver: NOTHING, craft: NOTHING }
    const isJoined = made.review.boxes.length > 0
    notice.say(
      isJoined
        ? `${made.document.name} is on the bench, and joined.`
        : `${made.document.name} is on the bench; why it does not join yet stands here.`,
    )
    await router.push(`/rigs/${made.slug}/path`)
  } catch (error) {
    problem.value = { path: error instanceof ApiError ? (error.path.split('.')[0] ?? '') : '', text: sentenceOf(error) }
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink to="/">Bench</RouterLink></p>
    <h1>Start with my gear</h1>
    <p class="muted">
      What you hold, what is on the craft, and what it drives. Each from what it looks most like; what you do not know stays not known and is asked
      for where it matters.
    </p>
    <form class="start" @submit.prevent="start">
      <div class="craft">
        <LabelledField label="Name of the craft"
          ><input
            v-model="name"
            class="field"
            maxlength="200"
            autocomplete="off"
            :aria-invalid="problem.path === 'name'"
            aria-describedby="start-problem"
        /></LabelledField>
        <LabelledField label="It is a"><PickField v-model="kind" :options="CRAFT_KINDS" /></LabelledField>
      </div>
      <ol class="plain-list chain">
        <li v-for="place in PLACES" :key="place.key" :class="{ wanted: problem.path === place.key }">
          <HeldBox
            v-model="boxes[place.key]"
            :place="place.key"
            :title="place.title"
            :is-needed="place.isNeeded"
            :starters="(starters.data.value?.starters ?? []).filter((one) => (place.kinds as readonly string[]).includes(String(one.card.kind)))"
            :cards="(shelf.data.value?.cards ?? []).filter((one) => (place.kinds as readonly string[]).includes(one.kind))"
          />
        </li>
      </ol>
      <fieldset v-if="asksAir" class="air">
        <legend>What its radio speaks</legend>
        <p class="muted small">Printed on the receiver, or in the menu of the handset. Both ends must speak the same; without it nothing joins.</p>
        <div class="craft">
          <LabelledField label="Family"
            ><input v-model="family" class="field" maxlength="40" autocomplete="off" placeholder="not known"
          /></LabelledField>
          <LabelledField label="Variant"
            ><input v-model="variant" class="field" maxlength="40" autocomplete="off" placeholder="not known"
          /></LabelledField>
        </div>
      </fieldset>
      <p id="start-problem" class="problem" role="alert">{{ problem.text }}</p>
      <ActButton kind="primary" html-type="submit" size="large" :loading="isBusy">Join them</ActButton>
    </form>
  </main>
</template>

<style scoped>
.start {
  margin-top: 0.9rem;
}
.craft {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
}
.chain {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(260px, 100%), 1fr));
  gap: 1rem;
  margin: 1.1rem 0;
}
.chain > li {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.7rem 0.8rem 0.9rem;
  min-width: 0;
}
.chain > .wanted {
  border-color: var(--stop);
}
.air {
  border: 0;
  border-left: 4px solid var(--amber-line);
  padding: 0 0 0 0.9rem;
  margin: 0 0 1rem;
}
legend {
  font-weight: 600;
  padding: 0;
}
.problem {
  color: var(--stop);
  min-height: 1.5rem;
}
</style>
