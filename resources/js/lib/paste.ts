/** The three readings of a channel: at its low end, at rest, at its high end. */
export type Side = 'lo' | 'mid' | 'hi'
export const SIDES: Side[] = ['lo', 'mid', 'hi']

export interface Cell {
  /** Rows below the one that was pasted into. */
  row: number
  side: Side
  value: number
}

const PER_ROW = SIDES.length

/** Readings that were pasted: three numbers a line fill rows from here on; fewer fill this column and those right of it. */
export function cellsFrom(text: string, side: Side): Cell[] {
  return text
    .trim()
    .split(/\r?\n/)
    .flatMap((line, row) => {
      const values = line
        .split(/[\t; ]+/)
        .filter((cell) => cell !== '')
        .map((cell) => Number(cell.replace(',', '.')))
        .filter((value) => Number.isFinite(value))
      const first = values.length >= PER_ROW ? 0 : SIDES.indexOf(side)
      return SIDES.slice(first)
        .map((at, k) => ({ row, side: at, value: values[k] }))
        .filter((cell): cell is Cell => cell.value !== undefined)
    })
}
