/** Stick letters as orders are written: aileron, elevator, throttle, rudder. */
export type StickLetter = 'A' | 'E' | 'T' | 'R'

/** The four controls by their letters, in the sequence in which sticks are usually moved. */
export const STICKS: { letter: StickLetter; name: string; move: string }[] = [
  { letter: 'T', name: 'throttle', move: 'up, down, back' },
  { letter: 'R', name: 'rudder', move: 'right, left, back' },
  { letter: 'E', name: 'elevator', move: 'forward, back, middle' },
  { letter: 'A', name: 'aileron', move: 'right, left, middle' },
]

export const NAME_OF = Object.fromEntries(STICKS.map((stick) => [stick.letter, stick.name])) as Record<StickLetter, string>

/** A sequence of sticks as somebody types it: "TREA", "t r e a". What is no stick letter stays, for the bench to name it. */
export const lettersOf = (text: string) => [...text.toUpperCase().replace(/[^A-Z]/g, '')] as StickLetter[]
