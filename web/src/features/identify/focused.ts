/** What was asked for has the keys when it appears. */
export function focused(element: HTMLElement | null): void {
  element?.focus();
}
