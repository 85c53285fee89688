import { useState } from 'react';

const KEPT = 'fabulum.customer-sheet';

/** From this width on there is room for both; below it the sheet would stand where the script is. */
const WIDE = 1200;

const isWide = () => window.innerWidth >= WIDE;

export type Sheet = 'customer' | 'templates';

/**
 * What lies beside the script: the customer as it was left, in every conversation; in a narrow window, as the templates, only where it was
 * asked for.
 */
export function useSheet() {
  const [open, setOpen] = useState<Sheet | undefined>(() =>
    isWide() && localStorage.getItem(KEPT) === 'open' ? 'customer' : undefined,
  );
  const [asked, setAsked] = useState(false);
  const set = (next: Sheet | undefined) => {
    const aboutCustomer = next === 'customer' || (next === undefined && open === 'customer');
    if (isWide() && aboutCustomer) localStorage.setItem(KEPT, next ? 'open' : 'closed');
    setAsked(next !== undefined);
    setOpen(next);
  };
  // The customer lies there again when the templates are put away.
  const before = () => (isWide() && localStorage.getItem(KEPT) === 'open' ? 'customer' : undefined);
  return {
    open,
    asked,
    toggle: (which: Sheet) => set(open === which ? undefined : which),
    close: () => {
      if (open === 'templates') {
        setAsked(false);
        setOpen(before());
      } else set(undefined);
    },
  };
}
