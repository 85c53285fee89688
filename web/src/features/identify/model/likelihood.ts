/** A likelihood as people say it; the number stands beside it. */
export function likelihoodWords(likelihood: number): string {
  if (likelihood >= 0.9) return 'almost certainly';
  if (likelihood >= 0.7) return 'probably';
  if (likelihood >= 0.4) return 'perhaps';
  return 'not likely';
}

/** Rounded so that nothing is certain and nothing impossible. */
export function percent(likelihood: number): string {
  return `${Math.min(99, Math.max(1, Math.round(likelihood * 100)))} %`;
}

/** What we ask a stranger. */
export const ASK_WHO = 'Thanks for your text! We do not have this number on file. Who is writing, please?';
/** What we ask when several people have a number. */
export const ASK_WHICH = 'Thanks for your text! Several people use this number. Who is writing, please?';

/** Fewer are easier to compare; more are one press away. */
const SHOWN_AT_FIRST = 3;

interface Ranked {
  nobody: number;
  candidates: { likelihood: number }[];
}

/** How many candidates are likelier than that it is nobody we know, which stands after them. */
export function placeOfNobody({ nobody, candidates }: Ranked): number {
  const after = candidates.findIndex(({ likelihood }) => likelihood < nobody);
  return after < 0 ? candidates.length : after;
}

/** How many candidates are shown before anyone asks for more: where it is most likely nobody, that takes the place of one. */
export function shownAtFirst(likely: Ranked): number {
  return placeOfNobody(likely) === 0 ? SHOWN_AT_FIRST - 1 : SHOWN_AT_FIRST;
}
