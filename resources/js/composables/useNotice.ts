import { useTimeoutFn } from '@vueuse/core'
import { reactive, ref } from 'vue'

const MS_PER_S = 1000

interface Notice {
  text: string
  tone: 'calm' | 'stop'
  action: { label: string; run: () => void } | null
}

const state = reactive<{ current: Notice | null }>({ current: null })
const waitsMs = ref(0)
const fade = useTimeoutFn(() => (state.current = null), waitsMs, { immediate: false })

function show(notice: Notice, seconds: number): void {
  state.current = notice
  waitsMs.value = seconds * MS_PER_S
  fade.start()
}

/** One line at the foot of the page: what has just happened, and how to take it back. */
export function useNotice() {
  return {
    state,
    say: (text: string, action: Notice['action'] = null) => show({ text, tone: 'calm', action }, action === null ? 6 : 20),
    warn: (text: string, action: Notice['action'] = null) => show({ text, tone: 'stop', action }, 30),
    clear: () => (state.current = null),
  }
}
