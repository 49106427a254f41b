/** On what a person has opened over the page, or is answering: the keyboard stays in it. */
export const KEEPS_KEYBOARD = { 'data-keeps-keyboard': true };

/** Brings what comes next under the keyboard; never away from something that a person has opened over the page. */
export function focusNext(element: HTMLElement | null | undefined): void {
  if (!document.activeElement?.closest('[role=dialog], [data-keeps-keyboard]')) {
    element?.focus({ preventScroll: true });
  }
}
