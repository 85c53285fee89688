import { startTransition, useOptimistic } from 'react';

/**
 * The current row of the list: the one the user has gone to last, whether or not its script has been drawn yet. So arrows that are
 * pressed faster than scripts are drawn go on from row to row, and leave none out.
 *
 * @param shown the conversation whose script is shown
 * @param go shows another one
 */
export function useHere(shown: number | undefined, go: (id: number) => unknown) {
  const [here, setHere] = useOptimistic(shown);
  const open = (next: number | undefined) => {
    if (next === undefined) return;
    startTransition(() => {
      setHere(next);
      void go(next);
    });
  };
  return { here, open };
}
