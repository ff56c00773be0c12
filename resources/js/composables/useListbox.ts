import { computed, nextTick, onMounted, onUpdated, type Ref, ref, useAttrs, useId, type VNode } from 'vue'

/** What a screen reader is told of a list: what it is called, and where in the page it is described; unset: the label around it names it. */
export interface ListboxTold {
  name: string | undefined
  describedBy: string | undefined
  isWrong: boolean
}

/** Where lists and months open: a place of their own, so that no page finds strangers among its parts, and one that goes by landmarks finds them. */
export const OPEN_LISTS = 'open-lists'
export const openLists = () => document.getElementById(OPEN_LISTS) ?? document.body

/** The library's list, to be put into one that is called a list. */
export const ListOf = ({ of }: { of: VNode }) => of

/** What is told of a field, but for its names and its look: those are for the combobox within and for what stands around it. */
export function useOwnAttrs() {
  const attrs = useAttrs()
  return computed(() => Object.fromEntries(Object.entries(attrs).filter(([key]) => !key.startsWith('aria-') && key !== 'class')))
}

/**
 * Mends what the component library leaves out of its select: it keeps names from its combobox, its visible list is no list to a screen reader,
 * and the combobox points at hidden doubles of three options. Here the visible list is the listbox, its rows are the options, and the combobox
 * points at the one that the arrow keys are on.
 */
export function useListbox(root: Ref<HTMLElement | null>, told: () => ListboxTold) {
  const listId = useId()
  const isOpen = ref(false)

  const activeId = () => document.getElementById(listId)?.querySelector('.ant-select-item-option-active')?.id

  function mend(): void {
    const box = root.value?.querySelector('[role="combobox"]')
    if (!box) return
    const { name, describedBy, isWrong } = told()
    const active = isOpen.value ? activeId() : undefined
    const meant: Record<string, string | undefined> = {
      'aria-label': name,
      'aria-describedby': describedBy,
      'aria-invalid': isWrong ? 'true' : undefined,
      'aria-expanded': String(isOpen.value),
      'aria-controls': isOpen.value ? listId : undefined,
      'aria-owns': undefined,
      'aria-activedescendant': active,
    }
    for (const [attribute, value] of Object.entries(meant)) {
      if (value === undefined) box.removeAttribute(attribute)
      else box.setAttribute(attribute, value)
    }
  }
  onMounted(mend)
  onUpdated(mend)

  /** Once the library has drawn what a key did. */
  async function mark(): Promise<void> {
    await nextTick()
    mend()
    document.getElementById(activeId() ?? '')?.scrollIntoView({ block: 'nearest' })
  }

  function toggled(open: boolean): void {
    isOpen.value = open
    void mark()
  }

  /** What a row of the library's list carries, besides its value and label. */
  const roleOf = (k: number) => ({ role: 'option', id: `${listId}-${k}` })

  /** Place in the list of the option that the keys are on; -1: none. */
  const activePlace = () => Number(activeId()?.slice(listId.length + 1) ?? -1)

  return { listId, activePlace, mark, toggled, roleOf }
}
