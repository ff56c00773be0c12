import { useEventListener } from '@vueuse/core'

/** Whether the keyboard belongs to a field just now. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) || target.getAttribute('role') === 'combobox')
  )
}

/** Single keys outside fields. The handler says whether it has taken the key. */
export function useKeys(handler: (key: string, event: KeyboardEvent) => boolean): void {
  useEventListener(document, 'keydown', (event) => {
    if (isTyping(event.target) || event.altKey || event.defaultPrevented) return
    if (handler(event.key, event)) event.preventDefault()
  })
}
