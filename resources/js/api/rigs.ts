import { queryOptions } from '@tanstack/vue-query'
import type { Finding } from './generated/finding'
import type { MovementAnswer } from './generated/movement.out'
import type { PlanAnswer } from './generated/plan.out'
import { getJson } from './http'

export type StepState = 'open' | 'attention' | 'stop' | 'done'
export type CouplingState = 'joined' | 'needs_setting' | 'will_not_join' | 'untested'
export type Scalar = string | number | boolean
export type StickLetter = 'A' | 'E' | 'T' | 'R'

export interface BoxView {
  id: string
  name: string
  kind: string
  line: string
}

export interface SettingView {
  box: string
  box_name: string
  setting: string
  to: Scalar
  name: string
  value: string
  done: boolean
}

export interface CouplingMini {
  from: string
  to: string
  kind: 'air' | 'wire'
  label: string
  state: CouplingState
  open: number
}

export interface CouplingView extends CouplingMini {
  via: string | null
  detail: string
  facts: { what: string; from: string; to: string }[]
  findings: Finding[]
  changes: SettingView[]
  misses: { code: string; message: string; change: string }[]
}

export interface NextAction {
  severity: StepState
  sentence: string
  step: string
  action: string
}

export interface CraftView {
  kind: string
  note?: string
  functions?: { function: string; channel: number }[]
}

export interface RigSummary {
  slug: string
  name: string
  craft: CraftView
  changed_at: string
  boxes: BoxView[]
  couplings: CouplingMini[]
  next: NextAction
}

export interface WireRow {
  key: string
  from: string
  from_pin: string
  to: string
  to_pin: string
  carries: string
  note: string | null
  colours: { signal: string; plus: string; ground: string }
}

export interface WireView {
  from: string
  from_name: string
  to: string
  to_name: string
  kind: 'bay' | 'trainer' | 'pins' | 'one_wire'
  format: string
  polarity: string | null
  level_v: number | null
  takes: string
  rows: WireRow[]
}

export interface PowerRow {
  name: string
  from: string
  takes: string
  low_v: number | null
  full_v: number | null
  severity: 'ok' | 'check' | 'fix' | 'stop'
  code: string | null
  message: string
}

export interface OrderFixView {
  at: 'plugs' | 'controller' | 'handset' | 'module'
  title: string
  touches: string
  change: string
  order?: string
  remap?: boolean
  table?: { letter: StickLetter; pin: number; label: string }[]
  set: Record<string, Scalar>
}

export interface OrderView {
  unjudged: string | null
  correct: boolean | null
  right: boolean
  by_plugs: boolean
  handset: { name: string; order: string | null }
  reader: { kind: 'controller' | 'pins'; name: string; order: string; one_wire_each: boolean; unlabelled: boolean } | null
  modules: { id: string; name: string; on: boolean; expects: string; sends: string | null }[]
  trace: { letter: StickLetter; handset_channel: number; arrives_on: number; read_as: StickLetter }[] | null
  fixes: OrderFixView[]
  plugs: { letter: StickLetter; pin: number; label: string }[] | null
  auxiliaries: { function: string; channel: number; auxiliary: number }[]
  proof: { state: 'open' | 'holds' | 'stale' | 'failed'; at: string | null; observed: string | null; reasons: string[] }
}

export interface SheetSection {
  title: string
  rows: { key: string; label: string; value: string; state: 'known' | 'open' | 'attention' }[]
}

export interface RigReview {
  name: string
  craft: CraftView
  boxes: BoxView[]
  channels: number
  couplings: CouplingView[]
  changes: SettingView[]
  latency_ms: { best: number; mean: number; p95: number; worst: number } | null
  latency_stages: { name: string; mean_ms: number; share: number }[]
  telemetry: string | null
  order: OrderView
  wiring: {
    wires: WireView[]
    power: PowerRow[]
    antennas: { box: string; f_mhz: number | null; quarter_wave_mm: number | null; text: string }[]
    switch_on: string[]
    fingerprint: string
    wired: boolean
  }
  steps: { key: string; title: string; state: StepState; note: string }[]
  next: NextAction
  sheet: SheetSection[]
}

export interface PackDocument {
  chemistry: string
  cells: number
}

export interface RigDocument {
  name: string
  craft: CraftView
  path?: { handset?: string | null; craft?: string | null; channels?: number; allow_relay?: boolean; through?: string[] }
  chain: { id: string; kind: string; name: string }[]
  settings: {
    pack?: PackDocument | null
    craft_pack?: PackDocument | null
    stick_mode?: number | null
    done?: Record<string, Scalar>
    [key: string]: unknown
  }
}

export interface HistoryItem {
  position: number
  standing: boolean
  entry: { at: string; kind: string; text?: string; undoes?: number }
}

export interface RigData {
  slug: string
  revision: number
  document: RigDocument
  review: RigReview
  history: HistoryItem[]
  undo: number | null
  newer_cards: { id: string; name: string }[]
}

export interface RigPlan extends PlanAnswer {
  names: Record<string, string>
  setting_names: Record<string, string>
  misses?: { code: string; message: string; change: string }[]
}

export interface OrderCheckResult {
  rows: { letter: StickLetter; channel: number | null; expected: number; moved: string | null; reversed: boolean | null; ok: boolean }[]
  passes: boolean
  sentence: string
  explanation: string | null
  movement: MovementAnswer | null
}

export const rigsQuery = queryOptions({
  queryKey: ['rigs'] as const,
  queryFn: ({ signal }) => getJson<{ rigs: RigSummary[] }>('/rigs', signal),
})

export const rigQuery = (slug: string) =>
  queryOptions({
    queryKey: ['rig', slug] as const,
    queryFn: ({ signal }) => getJson<RigData>(`/rigs/${slug}`, signal),
  })
