/*
 * Documents hold moments in UTC; every page tells them by the clock of this browser, in its time zone.
 */

const DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const
const TIME = { hour: '2-digit', minute: '2-digit' } as const
const LANGUAGE = 'en-GB'
const DAY_MS = 86_400_000

/** A moment of a document as a day: "3 Nov 2026". */
export function day(at: string | null | undefined): string {
  return at ? new Date(at).toLocaleDateString(LANGUAGE, DAY) : ''
}

/** As a time of day: "10:31". */
export function clock(at: string | null | undefined): string {
  return at ? new Date(at).toLocaleTimeString(LANGUAGE, TIME) : ''
}

/** As both: "3 Nov 2026, 10:31". */
export function moment(at: string | null | undefined): string {
  return at ? `${day(at)}, ${clock(at)}` : ''
}

/** Its day by this clock, to be compared: "2026-11-03". */
export function dayKey(at: string | Date): string {
  const date = new Date(at)
  const two = (part: number) => String(part).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

/** How long ago, by days of the calendar: "today", "yesterday", "3 days ago". */
export function age(at: string | null | undefined): string {
  if (!at) return ''
  const noon = (key: string) => new Date(`${key}T12:00:00`).getTime()
  const days = Math.round((noon(dayKey(new Date())) - noon(dayKey(at))) / DAY_MS)
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : days < 60 ? `${days} days ago` : `${Math.round(days / 30)} months ago`
}

/** A day as a heading: "Tuesday 3 November 2026". */
export function heading(key: string): string {
  const date = new Date(`${key}T12:00:00`)
  if (Number.isNaN(date.getTime())) return key
  // Browsers differ over a comma between them.
  return `${date.toLocaleDateString(LANGUAGE, { weekday: 'long' })} ${date.toLocaleDateString(LANGUAGE, { day: 'numeric', month: 'long', year: 'numeric' })}`
}

/** Grouped by day, in the sequence given. */
export function byDay<T>(items: T[], at: (item: T) => string): [day: string, items: T[]][] {
  const grouped = new Map<string, T[]>()
  for (const item of items) {
    const key = dayKey(at(item))
    grouped.set(key, [...(grouped.get(key) ?? []), item])
  }
  return [...grouped]
}

const YEAR_MS = 365 * DAY_MS

/** Where a moment lies in the twelve months that end now, from 0 to 1; null: before them. */
export function shareOfYear(at: string, now = Date.now()): number | null {
  const share = 1 - (now - new Date(at).getTime()) / YEAR_MS
  return share < 0 || Number.isNaN(share) ? null : Math.min(1, share)
}

/** The first days of the months of that year, with their short names. */
export function monthsOfYear(now = Date.now()): { name: string; share: number }[] {
  const first = new Date(now)
  first.setDate(1)
  first.setHours(0, 0, 0, 0)
  return Array.from({ length: 12 }, (_, back) => {
    const month = new Date(first)
    month.setMonth(first.getMonth() - back)
    return { name: month.toLocaleDateString(LANGUAGE, { month: 'short' }), share: shareOfYear(month.toISOString(), now) ?? -1 }
  })
    .filter((month) => month.share >= 0)
    .reverse()
}
