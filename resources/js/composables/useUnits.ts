import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { UnitMap } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import { fromPulse, type Unit, UNIT_WORDS } from '@/lib/units'

const chosen = useLocalStorage<Unit>('linguator.unit', 'us', { writeDefaults: false })

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
  }
  return { chosen, choose, words: UNIT_WORDS }
}
