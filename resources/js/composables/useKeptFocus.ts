import { useEventListener, useMutationObserver } from '@vueuse/core'

/** What carries the focus when what had it is gone: able to, without being a stop of the Tab key. */
export function focusOn(element: Element | null | undefined): void {
  if (!(element instanceof HTMLElement)) return
  if (element.tabIndex < 0 && !element.hasAttribute('tabindex')) element.setAttribute('tabindex', '-1')
  element.focus({ preventScroll: true })
}

/**
 * A button that does its work and goes away takes the focus with it: whoever uses the keyboard would begin at the top of the page again. It goes to
 * the nearest part around it that is still there.
 */
export function useKeptFocus(): void {
  let around: Element[] = []
  useEventListener(document, 'focusin', ({ target }) => {
    around = []
    for (let one = target instanceof Element ? target : null; one !== null && one !== document.body; one = one.parentElement) around.push(one)
  })
  useMutationObserver(
    document.body,
    () => {
      if (document.activeElement !== document.body || around.length === 0 || around[0]?.isConnected === true) return
      focusOn(around.find((one) => one.isConnected && one.matches('li, section, form, fieldset, article, details, [role=row], main, aside')))
    },
    { childList: true, subtree: true },
  )
}
