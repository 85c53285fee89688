import { type ComponentProps, Suspense } from 'react';
import { part } from './part';
import type { TimeDialog as Whole } from './TimeDialog';

/** Fetched when a time is first asked for. */
const Dialog = part(() => import('./TimeDialog').then((fetched) => fetched.TimeDialog));

/** Asks for a time, in a dialog. */
export function TimeDialog(props: ComponentProps<typeof Whole>) {
  return (
    <Suspense fallback={null}>
      <Dialog {...props} />
    </Suspense>
  );
}
