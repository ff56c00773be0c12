import { inject, type InjectionKey, provide } from 'vue'

const LABEL: InjectionKey<() => string> = Symbol('label of a field')

/** Fields inside are known by this label. */
export const provideLabel = (label: () => string) => provide(LABEL, label)

/** The label that stands around a field; '': none. */
export const useLabel = () => inject(LABEL, () => '')()

/**
 * What stands in a field that the hand has not left yet, kept for a reload: by page and by what the field is called. A field that is called
 * nothing keeps nothing.
 */
export function useTyped(called: () => string | undefined) {
  const name = called() ?? useLabel()
  // As it was when the field appeared: what is told last may arrive when the page is another one already.
  const at = name === '' ? null : `linguator.typed/${location.pathname}/${name}`

  function keep(text: string): void {
    if (at !== null) sessionStorage.setItem(at, text)
  }

  function forget(): void {
    if (at !== null) sessionStorage.removeItem(at)
  }

  /** Once: two fields of one name never both take it up. Null: nothing was left. */
  function takeUp(): string | null {
    const text = at === null ? null : sessionStorage.getItem(at)
    forget()
    return text
  }

  return { keep, forget, takeUp }
}
