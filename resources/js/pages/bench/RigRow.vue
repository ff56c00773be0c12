<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import type { RigSummary } from '@/api/rigs'
import MiniChain from '@/components/MiniChain.vue'
import StateMark, { STATE_WORDS } from '@/components/StateMark.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { day as date } from '@/lib/dates'

/** A rig on the bench: how it stands, in a sentence, and the one thing to do next. */
export interface RigRowProps {
  rig: RigSummary
}
defineProps<RigRowProps>()
defineEmits<{ archive: [] }>()
</script>

<template>
  <li class="rig" :class="rig.next.severity">
    <div class="mark">
      <StateMark :state="rig.next.severity" /><span class="sr-only">{{ STATE_WORDS[rig.next.severity] }}</span>
    </div>
    <div class="what">
      <RouterLink :to="`/rigs/${rig.slug}`" class="name">{{ rig.name }}</RouterLink>
      <span class="muted">{{ rig.craft.note ?? rig.craft.kind }}<template v-if="rig.is_demo"> · demo</template></span>
    </div>
    <div class="middle">
      <p class="sentence"><VerdictLine :next="rig.next" /></p>
      <div class="small chain"><MiniChain :boxes="rig.boxes" :couplings="rig.couplings" /></div>
    </div>
    <div class="next">
      <RouterLink
        :to="rig.next.severity === 'done' ? `/rigs/${rig.slug}/sheet` : `/rigs/${rig.slug}/${rig.next.step}`"
        class="go"
        :aria-label="`${rig.next.action}: ${rig.name}`"
        >{{ rig.next.action }}</RouterLink
      >
      <span class="muted small"
        >changed {{ date(rig.changed_at) }} ·
        <ActButton kind="link" :aria-label="`${rig.is_archived ? 'Bring back' : 'Archive'}: ${rig.name}`" @click="$emit('archive')">
          {{ rig.is_archived ? 'bring back' : 'archive' }}
        </ActButton></span
      >
    </div>
  </li>
</template>

<style scoped>
.rig {
  display: grid;
  grid-template-columns: 26px minmax(170px, 0.8fr) minmax(300px, 2.1fr) 204px;
  gap: 0 1rem;
  align-items: center;
  padding: 0.85rem 0.6rem;
  border-bottom: 1px solid var(--line);
}
.rig.stop {
  background: var(--stop-fill);
}
.mark {
  align-self: start;
  padding-top: 0.3rem;
}
.what {
  display: flex;
  flex-direction: column;
  align-self: start;
  line-height: 1.35;
}
.name {
  font-size: 1.2rem;
  font-weight: 600;
  color: var(--ink);
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
.chain {
  margin-top: 0.3rem;
}
.sentence {
  font-weight: 500;
}
.attention .sentence {
  color: var(--amber-text);
}
.stop .sentence {
  color: var(--stop);
  font-weight: 600;
}
.next {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  text-align: center;
  gap: 0.15rem;
  min-width: 150px;
}
.go {
  border: 1.5px solid var(--petrol);
  border-radius: var(--radius);
  padding: 0.35rem 0.9rem;
  font-weight: 600;
  text-decoration: none;
  background: var(--card);
}
.attention .go,
.stop .go {
  background: var(--accent);
  color: var(--accent-ink);
}
@media (max-width: 700px) {
  .rig {
    grid-template-columns: 26px 1fr;
  }
  .middle,
  .next {
    grid-column: 2;
    margin-top: 0.35rem;
  }
  .go {
    padding: 0.6rem;
  }
}
</style>
