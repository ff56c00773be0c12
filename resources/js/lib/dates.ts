/** A moment of a document as a day: "3 Nov 2026". */
export function day(at: string | null | undefined): string {
  return at ? new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }) : ''
}

/** As a time of day: "10:31". */
export function clock(at: string | null | undefined): string {
  return at ? new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' }) : ''
}

/** How long ago, in whole days: "today", "3 days ago". */
export function age(at: string | null | undefined): string {
  if (!at) return ''
  const days = Math.floor((Date.now() - new Date(at).getTime()) / 86_400_000)
  return days <= 0 ? 'today' : days === 1 ? 'yesterday' : days < 60 ? `${days} days ago` : `${Math.round(days / 30)} months ago`
}

/** A day of a document as a heading: "Tuesday 3 November 2026". */
export function heading(day: string): string {
  const date = new Date(`${day}T12:00:00Z`)
  if (Number.isNaN(date.getTime())) return day
  // Browsers differ over a comma between them.
  const weekday = date.toLocaleDateString('en-GB', { weekday: 'long', timeZone: 'UTC' })
  return `${weekday} ${date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' })}`
}

/** Grouped by day, in the sequence given. */
export function byDay<T>(items: T[], at: (item: T) => string): [day: string, items: T[]][] {
  const grouped = new Map<string, T[]>()
  for (const item of items) {
    const key = at(item).slice(0, 10)
    grouped.set(key, [...(grouped.get(key) ?? []), item])
  }
  return [...grouped]
}
