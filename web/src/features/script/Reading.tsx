import { type ComponentProps, type RefObject, Suspense, useEffect, useMemo } from 'react';
import type { Hit } from '../../shared/api';
import { part } from '../../shared/ui';
import { useFind, useFindKey } from '../find';
import { Lines } from './Lines';

/** Fetched when one first looks for something. */
const ScriptFindBar = part(() => import('./ScriptFindBar').then((part) => part.ScriptFindBar));

const NONE = new Map<number, Hit[]>();

type Props = Omit<ComponentProps<typeof Lines>, 'goTo' | 'hits' | 'shownPart'> & {
  /** A line that an address leads to. */
  at: number | undefined;
  /** Where words stand that were looked for elsewhere; finding here has its own. */
  marks: Map<number, Hit[]> | undefined;
  /** Opens the finding, for a button elsewhere. */
  findingRef: RefObject<(() => void) | null>;
};

/** The script with what is looked for in it. */
export function Reading({ at, marks = NONE, findingRef, ...lines }: Props) {
  const find = useFind(useMemo(() => ({ conversation: lines.id }), [lines.id]));
  useFindKey(find);
  const { open } = find;
  useEffect(() => {
    findingRef.current = open;
  });
  const linked = useMemo(() => (at === undefined ? undefined : { id: at }), [at]);
  return (
    <>
      {find.isOpen && (
        <Suspense fallback={null}>
          <ScriptFindBar find={find} conversation={lines.id} customer={lines.customer} zone={lines.zone} />
        </Suspense>
      )}
      <Lines {...lines} goTo={find.goTo ?? linked} hits={find.isOpen ? find.hits : marks} shownPart={find.part} />
    </>
  );
}
