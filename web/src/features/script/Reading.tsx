import { type ComponentProps, Suspense, useMemo } from 'react';
import { FindBar, useFind, useFindKey } from '../find';
import { Lines } from './Lines';

type Props = Omit<ComponentProps<typeof Lines>, 'goTo' | 'hits' | 'shownPart'> & {
  /** A line that an address leads to. */
  at: number | undefined;
};

/** The script with what is looked for in it. */
export function Reading({ at, ...lines }: Props) {
  const find = useFind(useMemo(() => ({ conversation: lines.id }), [lines.id]));
  useFindKey(find.isOpen, find.open);
  const linked = useMemo(() => (at === undefined ? undefined : { id: at }), [at]);
  return (
    <>
      {find.isOpen && (
        <Suspense fallback={null}>
          <FindBar find={find} label="this conversation" plans />
        </Suspense>
      )}
      <Lines {...lines} goTo={find.goTo ?? linked} hits={find.hits} shownPart={find.part} />
    </>
  );
}
