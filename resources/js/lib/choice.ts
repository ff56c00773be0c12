/** One of the things that can be picked. */
export interface Choice<T extends string | number = string> {
  value: T
  label: string
  /** Stands there to be read, and cannot be picked. */
  isOff?: boolean
}

/** Words of a schema as choices, each told as itself. */
export const asChoices = <T extends string>(words: readonly T[]): Choice<T>[] => words.map((word) => ({ value: word, label: word }))

/** How well a label goes with what was typed: 3 it is that, 2 it begins so, 1 it has it somewhere, 0 not at all. */
export function likeness(typed: string, label: string): number {
  const [words, name] = [typed.trim().toLowerCase(), label.toLowerCase()]
  return name === words ? 3 : name.startsWith(words) ? 2 : name.includes(words) ? 1 : 0
}

/** What is asked of a thing: one of its properties, or worked out from it. */
type Told<I> = keyof I | ((item: I) => string)

/** Things as choices; `none`: what it is called that none of them is picked. */
export function choicesOf<I>(items: readonly I[], value: Told<I>, label: Told<I>, none?: string): Choice[] {
  const told = (item: I, what: Told<I>) => (typeof what === 'function' ? what(item) : String(item[what]))
  const all = items.map((item) => ({ value: told(item, value), label: told(item, label) }))
  return none === undefined ? all : [{ value: '', label: none }, ...all]
}
