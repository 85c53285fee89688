import { Box } from '@mui/material';
import { type ComponentProps, Suspense } from 'react';
import { part } from '../../shared/ui';
import type { WriteTo as Dialog } from './WriteTo';

const load = () => import('./WriteTo').then((part) => part.WriteTo);
const Late = part(load);

/** Fetches the dialog ahead: who asks for it begins to type at once. */
export const prefetchWriteTo = () => void load().catch(() => undefined);

/** Writes to someone unasked. As long as the dialog is being fetched, the keys are already its own, so that no letter of a name acts. */
export function WriteTo(props: ComponentProps<typeof Dialog>) {
  return (
    <Suspense fallback={<Box role="dialog" aria-label="Write to someone" aria-busy="true" />}>
      <Late {...props} />
    </Suspense>
  );
}
