<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import type { ServoOnSwitchView, UnitMap } from '@/api/rigs'
import FindingLine from '@/components/FindingLine.vue'
import TravelRuler from '@/components/TravelRuler.vue'
import { useUnits } from '@/composables/useUnits'
import { figure } from '@/lib/numberText'

/** A servo that no stick drives: its limits, ends and direction hold as on any other. */
export interface SwitchedServoProps {
  servo: ServoOnSwitchView
  slug: string
  units: UnitMap
}
const props = defineProps<SwitchedServoProps>()
defineEmits<{ reverse: [] }>()

const { word, shown } = useUnits(() => props.units)
</script>

<template>
  <div class="servo" role="group" :aria-label="`${servo.function}, on ${servo.switch ?? 'a switch'}`">
    <span class="value ch">{{ servo.channel }}</span>
    <b class="function">{{ servo.function }}</b>
    <span class="levels"
      ><b>{{ servo.switch ?? 'no switch yet' }}</b
      >: <span class="value">{{ servo.levels.map((level) => shown(level.us)).join(' / ') }} {{ word }}</span>
      <small class="muted"> {{ servo.is_read ? 'as read' : 'computed, not read' }}</small></span
    >
    <TravelRuler
      class="ruler"
      :levels="servo.levels"
      :safe="servo.safe"
      :label="`${servo.function}: ${servo.levels.map((level) => `position ${level.position} ${figure(level.us)} µs`).join(', ')}`"
    />
    <span class="value ends"
      ><span>{{ figure(servo.now.lo_pct) }} <small>%</small></span
      ><span>{{ figure(servo.now.hi_pct) }} <small>%</small></span></span
    >
    <span class="more">
      <template v-if="servo.safe.lo !== null || servo.safe.hi !== null"
        >the servo can take {{ servo.safe.lo === null ? 'any low' : shown(servo.safe.lo) }} to
        {{ servo.safe.hi === null ? 'any high' : shown(servo.safe.hi) }} {{ word }}</template
      ><template v-else>what the servo can take is not known</template>
      <template v-if="servo.now.reversed"> · reversed in the handset</template>
      <ActButton kind="link" class="small" :aria-label="`${servo.function} moves the wrong way`" @click="$emit('reverse')">
        moves the wrong way
      </ActButton>
      <RouterLink class="small" :to="`/rigs/${slug}/switches`">set its positions</RouterLink>
    </span>
    <FindingLine v-for="finding in servo.findings" :key="finding.code" class="whole" :finding="finding" />
  </div>
</template>

<style scoped>
.servo {
  display: grid;
  grid-template-columns: 1.6rem 6rem 16rem 1fr 5rem;
  gap: 0.2rem 0.7rem;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 0.45rem 0;
}
.ch {
  font-size: 1.05rem;
}
.function::first-letter {
  text-transform: uppercase;
}
.levels small {
  display: block;
}
.ends {
  display: flex;
  flex-direction: column;
  line-height: 1.35;
}
.ends small {
  color: var(--muted);
}
.more {
  grid-column: 2 / -1;
  color: var(--muted);
  font-size: 0.88rem;
}
.more > * {
  margin-left: 0.9rem;
}
.whole {
  grid-column: 1 / -1;
}
@media (max-width: 1180px) {
  .servo {
    grid-template-columns: 1.6rem 6rem 1fr auto;
  }
  .ruler {
    grid-column: 2 / -1;
    grid-row: 2;
  }
}
@media (max-width: 700px) {
  .servo {
    grid-template-columns: 1.6rem 1fr auto;
  }
  .levels,
  .ruler {
    grid-column: 1 / -1;
    grid-row: auto;
  }
  .ends {
    grid-row: 1;
    grid-column: 3;
    flex-direction: row;
    gap: 0.6rem;
  }
}
</style>
