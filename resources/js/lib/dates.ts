/*
 * Documents hold moments in UTC; every page tells them by the clock of this browser, in its time zone and as its region writes them. The words
 * are English, as every other word of a page: a month is never a number, so that no two people read another day.
 */

const DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const
const USUAL = 'en-GB'
const DAY_MS = 86_400_000

interface Region {
  /** English as the region writes it. */
  language: string
  /** Its hours of twelve or of twenty-four. */
  hours: { hour12: boolean | undefined }
  dayForm: 'day-first' | 'month-first'
}

/** By the browser's language: every request asks, and every line of a long list; two hundred of them took the browser 35 ms. */
const regions = new Map<string, Region>()

function regionOf(browser: string): Region {
  const wanted = `en-${new Intl.Locale(browser).maximize().region ?? ''}`
  const language = new Intl.DateTimeFormat(wanted).resolvedOptions().locale === wanted ? wanted : USUAL
  const first = new Intl.DateTimeFormat(language, DAY).formatToParts(new Date()).find((part) => part.type === 'day' || part.type === 'month')
  return {
    language,
    hours: { hour12: new Intl.DateTimeFormat(browser, { hour: 'numeric' }).resolvedOptions().hour12 },
    dayForm: first?.type === 'month' ? 'month-first' : 'day-first',
  }
}

function here(): Region {
  const known = regions.get(navigator.language) ?? regionOf(navigator.language)
  regions.set(navigator.language, known)
  return known
}

/** Whether a day with its month as a word begins with the one or the other here; the bench is told, for its sentences. */
export const dayForm = () => here().dayForm

/** How this browser writes a day in numbers, for a field to type it in: "DD/MM/YYYY". */
export function dayPattern(): string {
  const names: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = { day: 'DD', month: 'MM', year: 'YYYY' }
  return new Intl.DateTimeFormat(navigator.language, { day: '2-digit', month: '2-digit', year: 'numeric' })
    .formatToParts(new Date())
    .map((part) => names[part.type] ?? part.value)
    .join('')
}

/** A day as it would be typed here: "2026-11-03" as "03/11/2026". */
export function dayAsTyped(key: string): string {
  const [year = '', month = '', date = ''] = key.split('-')
  return key === '' ? '' : dayPattern().replace('YYYY', year).replace('MM', month).replace('DD', date)
}

/** The day that a week begins with here, from 0 for Sunday; where the browser does not tell, Monday. */
export function weekStart(): number {
  const locale = new Intl.Locale(navigator.language) as Intl.Locale & { getWeekInfo?: () => { firstDay: number }; weekInfo?: { firstDay: number } }
  return (locale.getWeekInfo?.() ?? locale.weekInfo ?? { firstDay: 1 }).firstDay % 7
}

/** A moment of a document as a day: "3 Nov 2026", or "Nov 3, 2026". */
export function day(at: string | null | undefined): string {
  return at ? new Date(at).toLocaleDateString(here().language, DAY) : ''
}

/** As a time of day: "10:31", or "10:31 AM". */
export function clock(at: string | null | undefined): string {
  const { language, hours } = here()
  return at ? new Date(at).toLocaleTimeString(language, { hour: hours.hour12 ? 'numeric' : '2-digit', minute: '2-digit', ...hours }) : ''
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

/** A day as a heading: "Tuesday 3 November 2026", or "Tuesday, November 3, 2026". */
export function heading(key: string): string {
  const date = new Date(`${key}T12:00:00`)
  if (Number.isNaN(date.getTime())) return key
  const { language } = here()
  const whole = date.toLocaleDateString(language, { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })
  // Browsers differ over a comma after the day of the week, where the day of the month comes next.
  return whole.replace(/^(\p{L}+), (?=\d)/u, '$1 ')
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
    return { name: month.toLocaleDateString(here().language, { month: 'short' }), share: shareOfYear(month.toISOString(), now) ?? -1 }
  })
    .filter((month) => month.share >= 0)
    .reverse()
}
