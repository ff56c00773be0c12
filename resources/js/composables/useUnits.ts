import { computed, ref } from 'vue'
import { figure, fromPulse } from './numberText'

export type Unit = 'us' | 'pct' | 'raw'

/** value = centre + (µs − 1500) × per_us; raw is missing where no wire of the chain carries counts. */
export interface UnitMap {
  percent: { centre: number; per_us: number }
  raw: { centre: number; per_us: number; format: string } | null
}

const KEY = 'linguator.unit'
const chosen = ref<Unit>((localStorage.getItem(KEY) as Unit | null) ?? 'us')
const UNIT_WORDS: Record<Unit, string> = { us: 'µs', pct: '%', raw: 'raw' }

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
