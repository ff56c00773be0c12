import { reactive } from 'vue'

interface Notice {
  text: string
  tone: 'calm' | 'stop'
  action: { label: string; run: () => void } | null
}

const state = reactive<{ current: Notice | null }>({ current: null })
let timer = 0

function show(notice: Notice, seconds: number): void {
  state.current = notice
  window.clearTimeout(timer)
  timer = window.setTimeout(() => (state.current = null), seconds * 1000)
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
