/** Brings what comes next under the keyboard; never away from something that a person has opened over the page. */
export function focusNext(element: HTMLElement | null | undefined): void {
  if (!document.activeElement?.closest('[role=dialog]')) {
    element?.focus({ preventScroll: true });
  }
}
