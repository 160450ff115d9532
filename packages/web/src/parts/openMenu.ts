import type { DropdownInstance } from 'element-plus'

/**
 * Opens a menu for whoever works by key: its first item has the focus, so that arrow keys and Enter choose. One that is not
 * drawn after half a second is left as it is.
 */
export function openMenu(menu: DropdownInstance | null): void {
  menu?.handleOpen()
  const focusFirst = (frames: number): void => {
    const list = [...document.querySelectorAll<HTMLElement>('[aria-hidden="false"] .el-dropdown-menu')].at(-1)
    const first = list?.querySelector<HTMLElement>('[role="menuitem"]:not(.is-disabled)')
    first?.focus()
    if (list && first && document.activeElement === first) keepOnItems(list, first)
    else if (frames > 0) requestAnimationFrame(() => focusFirst(frames - 1))
  }
  if (menu) requestAnimationFrame(() => focusFirst(30))
}

/** The list takes the focus to itself once it has come in; it is given back to the item that had it. */
function keepOnItems(list: HTMLElement, first: HTMLElement): void {
  let item = first
  list.addEventListener('focusin', ({ target }) => {
    if (target === list) item.focus()
    else if (target instanceof HTMLElement && target.role === 'menuitem') item = target
  })
}
