import { useState } from 'react';

const KEPT = 'fabulum.customer-sheet';

/** From this width on there is room for both; below it the sheet would stand where the script is. */
const WIDE = 1200;

const isWide = () => window.innerWidth >= WIDE;

/** Whether the customer lies beside the script: as it was left, in every conversation; in a narrow window only where it was asked for. */
export function useSheet() {
  const [open, setOpen] = useState(() => isWide() && localStorage.getItem(KEPT) === 'open');
  const [asked, setAsked] = useState(false);
  const set = (next: boolean) => {
    if (isWide()) localStorage.setItem(KEPT, next ? 'open' : 'closed');
    setAsked(next);
    setOpen(next);
  };
  return { open, asked, toggle: () => set(!open), close: () => set(false) };
}
