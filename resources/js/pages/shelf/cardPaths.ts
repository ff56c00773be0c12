/** Reading and writing keys such as `supply.max_v` in a card. */
export type Entry = Record<string, unknown>

export function isEntry(value: unknown): value is Entry {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

export function getAt(entry: Entry, path: string): unknown {
  return path.split('.').reduce<unknown>((at, step) => (isEntry(at) ? at[step] : undefined), entry)
}

/** A copy with the value at the path; undefined removes the key, and objects left empty by that. */
export function setAt(entry: Entry, path: string, value: unknown): Entry {
  const [step = '', ...rest] = path.split('.')
  const copy = { ...entry }
  if (rest.length === 0) {
    if (value === undefined) Reflect.deleteProperty(copy, step)
    else copy[step] = value
    return copy
  }
  const inner = setAt(isEntry(copy[step]) ? copy[step] : {}, rest.join('.'), value)
  if (Object.keys(inner).length === 0) Reflect.deleteProperty(copy, step)
  else copy[step] = inner
  return copy
}

/** An id as cards have it, from a name as people write it. */
export function idFrom(name: string): string {
  return name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 64)
}
