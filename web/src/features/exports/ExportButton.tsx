import { Suspense, useState } from 'react';
import { ActButton, part, useRefusal } from '../../shared/ui';

/** Fetched with the first export. */
const ExportDialog = part(() => import('./ExportDialog').then((part) => part.ExportDialog));

interface Props {
  /** A sentence of History. */
  said: string;
  /** The same in words. */
  title: string;
  zone: string;
}

/** Offers to take out what a sentence means, to those who may. */
export function ExportButton(of: Props) {
  const [open, setOpen] = useState(false);
  const refusal = useRefusal('EXPORT');
  return (
    <>
      <ActButton refusal={refusal} aria-haspopup="dialog" onClick={() => setOpen(true)}>
        Export…
      </ActButton>
      {open && (
        <Suspense fallback={null}>
          <ExportDialog {...of} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
