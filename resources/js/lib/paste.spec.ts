import { describe, expect, it } from 'vitest'
import { cellsFrom } from './paste'

describe('readings that were pasted', () => {
  it('fill whole rows, three numbers a line, wherever they were pasted', () => {
    expect(cellsFrom('1012\t1503\t1990\r\n1008;1500;2001', 'mid')).toEqual([
      { row: 0, side: 'lo', value: 1012 },
      { row: 0, side: 'mid', value: 1503 },
      { row: 0, side: 'hi', value: 1990 },
      { row: 1, side: 'lo', value: 1008 },
      { row: 1, side: 'mid', value: 1500 },
      { row: 1, side: 'hi', value: 2001 },
    ])
  })

  it('fill one column, one number a line, from the cell they were pasted into', () => {
    expect(cellsFrom('1503\n1499,5\n1501', 'mid')).toEqual([
      { row: 0, side: 'mid', value: 1503 },
      { row: 1, side: 'mid', value: 1499.5 },
      { row: 2, side: 'mid', value: 1501 },
    ])
    expect(cellsFrom('1503 1990', 'mid').map((cell) => cell.side)).toEqual(['mid', 'hi'])
    expect(cellsFrom('1990 1503', 'hi')).toEqual([{ row: 0, side: 'hi', value: 1990 }])
  })

  it('leave out what is no number, and never more than a row has', () => {
    expect(cellsFrom('low 1012 µs', 'lo')).toEqual([{ row: 0, side: 'lo', value: 1012 }])
    expect(cellsFrom('1 2 3 4', 'hi')).toHaveLength(3)
    expect(cellsFrom('', 'lo')).toEqual([])
  })
})
