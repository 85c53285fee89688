import type { Entry, Story } from '../../shared/api';
import { type Printed, printed } from '../entries';

export interface Told extends Printed {
  /** Where it was said, when that is not where the line before was said. */
  place?: Story['where'][number] | undefined;
}

/** The stretches of a story as one script; each time it goes on elsewhere, that is said. */
export function told(pages: Story[], zone: string, isShown: (entry: Entry) => boolean = () => true): Told[] {
  const places = new Map(pages.flatMap((page) => page.where).map((one) => [one.conversationId, one]));
  const lines = printed(
    [...pages].reverse().flatMap((page) => page.entries.filter(isShown)),
    zone,
  );
  return lines.map((line, i) => {
    const here = line.entry.conversationId;
    return lines[i - 1]?.entry.conversationId === here ? line : { ...line, named: true, place: places.get(here) };
  });
}
