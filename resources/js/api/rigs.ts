import { queryOptions } from '@tanstack/vue-query'
import type { Finding } from './generated/finding'
import type { MovementAnswer } from './generated/movement.out'
import type { PlanAnswer } from './generated/plan.out'
import type { UnitMap } from '@/composables/useUnits'
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
  indoors?: boolean
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
  proof: CheckStateView
}

export interface Three {
  lo: number
  mid: number
  hi: number
}

export interface ChannelSettingsView {
  lo_pct: number
  hi_pct: number
  subtrim: number
  reversed: boolean
}

export interface TravelRowView {
  channel: number
  function: string
  centres: boolean
  now: ChannelSettingsView
  target: Three
  target_why: string
  safe: { lo: number | null; hi: number | null }
  reading: Three | null
  read_at: string | null
  solution: { settings: ChannelSettingsView; predicted: Three; limited: ('lo' | 'hi')[] } | null
  state: 'open' | 'solved' | 'set' | 'residue' | 'confirmed'
  residue_us: number
  tolerance_us: number
  explanation: string | null
  explains_model: string | null
  hidden: string | null
  findings: Finding[]
}

export interface ThresholdsView {
  controller: string
  low: number | null
  high: number | null
  deadband: number | null
  suggested: { low: number; high: number; deadband: number }
  arms: boolean
  findings: Finding[]
}

export interface TravelView {
  rows: TravelRowView[]
  model: string | null
  model_says: string
  step_pct: number
  max_pct: number
  us_per_100: number
  school: 'match' | 'leave'
  centring: 'subtrim' | 'controller'
  reader: string | null
  controller_range: { lo: number; hi: number } | null
  thresholds: ThresholdsView | null
  done: boolean
}

export interface BindCombination {
  variant: string
  channel_mode: string
  region: string | null
}

export interface BindAttempt extends BindCombination {
  at?: string
  distance_m: number
  bound: boolean
  note?: string
}

export interface BindHopView {
  hop: number
  sender: string
  receiver: string
  recipe: { text: string; light: string | null; seconds: number | null }[]
  proof_how: string
  proof: CheckStateView
  next: (BindCombination & { distance_m: number }) | null
  because: string
  ladder: (BindCombination & { p: number; minutes: number })[]
  expected_minutes: number | null
  variants: string[]
  channel_modes: string[]
  regions: string[]
  attempts: BindAttempt[]
}

export interface SwitchWindowView {
  position: number
  name: string
  lo: number
  hi: number
  wanted: number[]
  inside: number[]
  margins: Record<string, number>
  ok: boolean
  widened: { lo: number; hi: number }
  findings: Finding[]
}

export interface SwitchRowView {
  position: number
  function: string
  channel: number
  handset_says: string
  controller_says: string
  switch: string | null
  is_slider: boolean
  spring: boolean
  weight: number
  offset: number
  curve: number[] | null
  power_up: number
  measured: boolean
  levels: { position: number; pct: number; us: number }[]
  windows: SwitchWindowView[]
}

export interface CurvePoint {
  stick_pct: number
  out_pct: number
  us: number
}

export interface RateRowView {
  channel: number
  function: string
  rate_pct: number
  low_rate_pct: number | null
  expo_pct: number
  throw_us: number
  low_throw_us: number | null
  centre_gain: number
  curve: CurvePoint[]
  low_curve: CurvePoint[] | null
}

export interface SwitchesView {
  rows: SwitchRowView[]
  unassigned: string[]
  handset_switches: { id: string; positions: number | null; spring: boolean }[]
  findings: Finding[]
  proposal: { moves: { function: string; from: number; to: number }[]; set: Record<string, unknown> } | null
  loose_windows: { position: number; name: string; channel: number; lo: number; hi: number }[]
  rates: RateRowView[]
  controller: string | null
  scale: { centre: number; us_per_100: number; max_pct: number }
}

export interface LatencyMs {
  best: number
  mean: number
  p95: number
  worst: number
}

export interface TrainBudget {
  verdict: 'sound' | 'ambiguous' | 'undetected'
  worst_sync_us: number
  required_sync_us: number
  remedies: { frame_us: number; hold_unused: { at_us: number; worst_sync_us: number; sound: boolean } | null; max_channels: number }
}

export interface TrainView {
  from: string
  to: string
  frame_us: number
  channels: number
  used: number
  min_us: number
  max_us: number
  period_known: boolean
  budget: TrainBudget
}

export interface TimingView {
  trains: TrainView[]
  latency: { ms: LatencyMs; stages: { name: string; mean_ms: number; share: number }[] } | null
  alternatives: { what: string; where: string; ms: LatencyMs; gain_ms: number }[]
  resolution: {
    stages: { name: string; levels: number; step_us: number; share_pct: number }[]
    coarsest: { name: string; levels: number; step_us: number; share_pct: number } | null
  }
}

export interface FailsafeHopView {
  hop: number
  receiver: string
  is_last: boolean
  mode: string | null
  mode_says: string
  outcome: string
  says: string
  severity: 'ok' | 'check' | 'fix' | 'stop'
  because: string
  findings: Finding[]
  recommended: string | null
  recommended_why: string
  modes: { mode: string; says: string }[]
  ways: { way: string; says: string }[]
  is_set: boolean
  set_by: string | null
  stored_us: (number | null)[] | null
  set_at: string | null
  stale: string[]
  stored_channels: { channel: number; function: string; safe_us: number }[]
  tested: boolean
  test: {
    safety: string
    do: string
    see: string
    result: 'pass' | 'fail' | null
    observed: string | null
    at: string | null
    by: string | null
    reasons: string[]
  }
}

export interface ReadinessCheck extends CheckStateView {
  check: string
  hop: number | null
  title: string
  required: boolean
  expected: string
  step: string | null
}

export interface ReadinessView {
  ready: boolean
  checks: ReadinessCheck[]
  redo: { check: string; hop: number | null; because: string }[]
  stops: string[]
  sign_off: CheckStateView
  refused_because: string[]
}

export interface HandsetItem {
  key: string
  title: string
  text: string
  value: string | null
  done: boolean
  warning: string | null
}

export interface CheckStateView {
  state: 'open' | 'holds' | 'stale' | 'failed'
  at: string | null
  by: string | null
  observed: string | null
  reasons: string[]
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
  latency_ms: LatencyMs | null
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
  bind: BindHopView[]
  travel: TravelView
  switches: SwitchesView
  failsafe: { hops: FailsafeHopView[]; recovery: string }
  readiness: ReadinessView
  timing: TimingView
  handset: HandsetItem[]
  units: UnitMap
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
    antenna?: string | null
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
  history_total: number
  undo: number | null
  newer_cards: { id: string; name: string }[]
  shares_memory_with: { slug: string; name: string }[]
  attachments: AttachmentView[]
}

export interface AttachmentView {
  id: number
  position: number
  name: string
  type: string
  size: number
  at: string
}

export interface RigMoment {
  slug: string
  position: number
  last: number
  entry: { at: string; kind: string; text?: string } | null
  document: RigDocument
  review: RigReview
}

export interface Difference {
  name: string
  place: string
  then_says: string
  now_says: string
  set: Record<string, unknown>
  clear: string[]
}

export interface LogbookEntry {
  rig: { slug: string; name: string }
  position: number
  at: string
  kind: string
  text: string
}

export interface Logbook {
  entries: LogbookEntry[]
  attachments: (AttachmentView & { rig: string })[]
  more: boolean
  kinds: string[]
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
