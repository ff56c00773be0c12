/** One of the things that can be picked. */
export interface Choice<T extends string | number = string> {
  value: T
  label: string
  /** Stands there to be read, and cannot be picked. */
  isOff?: boolean
}

/** Words of a schema as choices, each told as itself. */
export const asChoices = <T extends string>(words: readonly T[]): Choice<T>[] => words.map((word) => ({ value: word, label: word }))

/** Things as choices; `none`: what it is called that none of them is picked. */
export function choicesOf<I>(items: readonly I[], value: (item: I) => string, label: (item: I) => string, none?: string): Choice[] {
  const all = items.map((item) => ({ value: value(item), label: label(item) }))
  return none === undefined ? all : [{ value: '', label: none }, ...all]
}
