/** As the ref of a field that was asked for: the cursor goes there when it appears, and only then. */
export function focusing(field: HTMLElement | null): void {
  field?.focus();
}
