import type { StepState, TravelRowView } from '@/api/rigs'

/** How a channel's travel stands, for the eye. */
export const TRAVEL_STATES: Record<TravelRowView['state'], { mark: StepState; word: string; isToSet?: boolean; isSet?: boolean }> = {
  open: { mark: 'open', word: 'not read' },
  beforehand: { mark: 'attention', word: 'before full stick', isToSet: true },
  solved: { mark: 'attention', word: 'to be set', isToSet: true },
  set: { mark: 'attention', word: 'read again', isSet: true },
  residue: { mark: 'attention', word: 'still off', isToSet: true },
  confirmed: { mark: 'done', word: 'confirmed', isSet: true },
}
