import { computed, ref } from 'vue'
import type { UnitMap } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import { fromPulse, type Unit, UNIT_WORDS } from '@/lib/units'

const KEY = 'linguator.unit'
const chosen = ref<Unit>((localStorage.getItem(KEY) as Unit | null) ?? 'us')

/** The unit in which pulse widths are shown, everywhere: µs, percent on this rig's handset scale, or counts on its wire. */
export function useUnits(map: () => UnitMap | undefined) {
  const unit = computed<Unit>(() => (chosen.value === 'raw' && !map()?.raw ? 'us' : chosen.value))
  const word = computed(() => UNIT_WORDS[unit.value])

  function shown(us: number, decimals = 1): string {
    const there = map()
    return figure(there ? fromPulse(us, unit.value, there) : us, decimals)
  }

  return { unit, word, shown }
}

export function useUnitChoice() {
  function choose(unit: Unit): void {
    chosen.value = unit
    localStorage.setItem(KEY, unit)
  }
  return { chosen, choose, words: UNIT_WORDS }
}
