import type { Check, Objection } from '../../../shared/api/types';

/** What speaks against the words, as it is said beside the button: that nothing is written yet needs no saying. */
export function standing(check: Check | undefined): Objection[] {
  return (check?.objections ?? []).filter((each) => each.code !== 'empty');
}

/** The shape that stands before a reason: it keeps the text from going, asks, or is only said. */
export function shapeOf({ severity }: Objection): string {
  return severity === 'REFUSE' ? '×' : severity === 'ASK' ? '?' : '·';
}

/** Whether the words cannot go, whatever one confirms. */
export function isRefused(check: Check | undefined): boolean {
  return standing(check).some((each) => each.severity === 'REFUSE');
}

/** The codes of what asks; none when the words go as they are. */
export function asking(check: Check | undefined): string[] {
  return standing(check)
    .filter((each) => each.severity === 'ASK')
    .map((each) => each.code);
}

/** Whether all for which the server stopped the words stands beside the button already. */
export function standsAlready(fields: { field: string }[], check: Check | undefined): boolean {
  const codes = standing(check).map((each) => each.code);
  return fields.length > 0 && fields.every(({ field }) => codes.includes(field));
}
