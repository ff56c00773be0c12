import { type Component, defineAsyncComponent } from 'vue'
import StepMissing from './StepMissing.vue'

type Loader = () => Promise<{ default: Component }>

/** The screens of the steps, fetched when first wanted: a rig's page shows its head before all of them are here. */
const LOADERS: Record<string, Loader> = {
  path: () => import('./PathStep.vue'),
  wiring: () => import('./WiringStep.vue'),
  bind: () => import('./BindStep.vue'),
  order: () => import('./OrderStep.vue'),
  travel: () => import('./TravelStep.vue'),
  switches: () => import('./SwitchesStep.vue'),
  failsafe: () => import('./FailsafeStep.vue'),
  'check-out': () => import('./CheckOutStep.vue'),
  handset: () => import('./HandsetPanel.vue'),
  timing: () => import('./TimingPanel.vue'),
}
const history: Loader = () => import('./HistoryPanel.vue')

const SCREENS = Object.fromEntries(Object.entries(LOADERS).map(([step, loader]) => [step, later(loader)]))
export const HistoryPanel = later(history)

function later(loader: Loader): Component {
  return defineAsyncComponent({ loader, errorComponent: StepMissing })
}

export function stepScreen(step: string): Component | undefined {
  return SCREENS[step]
}

/** A step that is asked for by its address is fetched while the rig itself is. */
export function fetchStep(step: string): void {
  void LOADERS[step]?.().catch(() => undefined)
}

/** The others too, once the page has nothing better to do: a step opens at once then, and with the server stopped. */
export async function fetchAllSteps(): Promise<void> {
  for (const loader of [...Object.values(LOADERS), history]) await loader().catch(() => undefined)
}
