import { useEffect } from 'react';

let place = '';
let unseen = 0;

function apply(): void {
  document.title = `${unseen > 0 ? `(${unseen}) ` : ''}${place === '' ? '' : `${place}, `}Fabulum`;
}

/** Says where the user is, in the title of the tab: "Hanneke Calloway-Finch, Inbox". */
export function useTitle(...parts: (string | undefined)[]): void {
  const words = parts.filter(Boolean).join(', ');
  useEffect(() => {
    place = words;
    apply();
  }, [words]);
}

/** Says in the title of the tab how many notices have not been seen. */
export function useUnseenInTitle(count: number | undefined): void {
  useEffect(() => {
    unseen = count ?? 0;
    apply();
  }, [count]);
}
