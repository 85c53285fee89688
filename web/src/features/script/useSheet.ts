import { useState } from 'react';

const KEPT = 'fabulum.customer-sheet';

/** Whether the customer lies beside the script: as it was left, in whatever conversation. */
export function useSheet() {
  const [open, setOpen] = useState(() => localStorage.getItem(KEPT) === 'open');
  const [asked, setAsked] = useState(false);
  const set = (next: boolean) => {
    localStorage.setItem(KEPT, next ? 'open' : 'closed');
    setAsked(next);
    setOpen(next);
  };
  return { open, asked, toggle: () => set(!open), close: () => set(false) };
}
