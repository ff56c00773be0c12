/** One box of a start: a card of the shelf, or begun from a starter under its own name; all empty: not chosen. */
export interface Held {
  card: string
  starter: string
  name: string
}

export const NOTHING: Held = { card: '', starter: '', name: '' }

export const CRAFT_KINDS = [
  { value: 'multirotor', label: 'Multirotor' },
  { value: 'plane', label: 'Plane' },
  { value: 'glider', label: 'Glider' },
  { value: 'boat', label: 'Boat' },
  { value: 'car', label: 'Car' },
  { value: 'other', label: 'Something else' },
]
