import { describe, expect, it } from 'vitest'
import { linesOf, valueOf } from './tool'
import { TOOLS } from './tools'

const started = (key: string) => {
  const tool = TOOLS.find((one) => one.key === key)
  if (!tool) throw new Error(`There is no tool ${key}.`)
  return { tool, answers: Object.fromEntries(tool.fields.map((field) => [field.key, field.start])) }
}

describe('quick tools', () => {
  it('leaves out what is optional and empty', () => {
    const { tool, answers } = started('pulse-train')
    expect(tool.question(answers)).toEqual({ frame_us: 18000, channels: 8, min_us: 988, max_us: 2012, sync_detect_us: 3000 })
    expect(tool.question({ ...answers, used: '5' })).toMatchObject({ used: 5 })
  })

  it('sends what is no number as it is, for the verb to refuse', () => {
    expect(valueOf('NaN')).toBe('NaN')
    expect(valueOf('-105')).toBe(-105)
  })

  it('reads lines with their cells', () => {
    expect(linesOf(' a, 1 ,2\n\nb,3')).toEqual([
      ['a', '1', '2'],
      ['b', '3'],
    ])
    const { tool, answers } = started('switch')
    expect(tool.question({ ...answers, windows: 'mode, 900, 1300, 1 2' })).toMatchObject({
      windows: [{ name: 'mode', lo: 900, hi: 1300, wanted: [1, 2] }],
    })
  })

  it('takes channel values however they are parted, and keeps what is none', () => {
    const { tool, answers } = started('encode')
    expect(tool.question({ ...answers, us: ' 988 1500,\t2012;x ' })).toEqual({
      format: 's100i',
      frames: [{ us: [988, 1500, 2012, 'x'], flags: { failsafe: false, frame_lost: false } }],
    })
  })

  it('asks every tool a question of its own from the start', () => {
    for (const tool of TOOLS) expect(Object.keys(tool.question(started(tool.key).answers)).length).toBeGreaterThan(0)
    expect(new Set(TOOLS.map((tool) => tool.key)).size).toBe(TOOLS.length)
  })
})
