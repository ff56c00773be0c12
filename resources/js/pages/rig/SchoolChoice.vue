<script setup lang="ts">
import { computed } from 'vue'
import type { TravelView, UnitMap } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import { useLandmarks } from '@/composables/useLandmarks'
import { useUnits } from '@/composables/useUnits'

/** The two questions on which people differ: what is brought to what, and where the centre is mended. */
export interface SchoolChoiceProps {
  view: TravelView
  units: UnitMap
  handle: RigHandle
}
const props = defineProps<SchoolChoiceProps>()

const { word, shown } = useUnits(() => props.units)
const { list } = useLandmarks()
const usual = computed(() => list.value.join('–'))
</script>

<template>
  <section class="schools">
    <h3>Two ways, and what each costs</h3>
    <label
      ><input type="radio" name="school" :checked="view.school === 'match'" @change="handle.intend('choose-school', { school: 'match' })" /> Bring the
      handset to {{ usual }} µs <span class="muted">(usual: every controller then works as its manual says)</span></label
    >
    <label
      ><input type="radio" name="school" :checked="view.school === 'leave'" @change="handle.intend('choose-school', { school: 'leave' })" /> Leave the
      handset, set the controller's range
      <span class="muted"
        >(one handset for many craft; no resolution lost)<template v-if="view.controller_range"
          >: {{ shown(view.controller_range.lo) }} to {{ shown(view.controller_range.hi) }} {{ word }}</template
        ></span
      ></label
    >
    <label
      ><input
        type="radio"
        name="centring"
        :checked="view.centring === 'subtrim'"
        @change="handle.intend('choose-centring', { centring: 'subtrim' })"
      />
      Centre by sub-trim <span class="muted">(usual: the middle is then right for everything that reads it)</span></label
    >
    <label
      ><input
        type="radio"
        name="centring"
        :checked="view.centring === 'controller'"
        @change="handle.intend('choose-centring', { centring: 'controller' })"
      />
      Centre in the controller <span class="muted">(nothing to bump in the handset, one more thing to remember in the craft)</span></label
    >
  </section>
</template>

<style scoped>
.schools {
  margin-top: 1.3rem;
}
.schools label {
  display: block;
  padding: 0.25rem 0;
}
</style>
