import { readonly, ref } from 'vue'

/** So often it is looked whether the bench answers again; and, where what was seen last may stand in for it, whether it still does (ms). */
const AGAIN_MS = 3000
const STILL_MS = 20_000

const isAway = ref(false)
const onReturn = new Set<() => void>()
let timer = 0

async function look(): Promise<void> {
  try {
    await fetch('/api/v1/reach', { cache: 'no-store' })
    came()
  } catch {
    went()
  }
}

function plan(ms: number): void {
  window.clearTimeout(timer)
  timer = window.setTimeout(() => void look(), ms)
}

function went(): void {
  isAway.value = true
  plan(AGAIN_MS)
}

function came(): void {
  const wasAway = isAway.value
  isAway.value = false
  if (navigator.serviceWorker?.controller) plan(STILL_MS)
  if (wasAway) for (const act of onReturn) act()
}

/** Whether the bench's server answers. Nobody asks it for that, as long as it does and nothing else could answer in its place. */
export function useReach() {
  return {
    isAway: readonly(isAway),
    /** A request was not answered. */
    went,
    look,
    /** Done each time the bench answers again. */
    whenBack: (act: () => void) => void onReturn.add(act),
  }
}
