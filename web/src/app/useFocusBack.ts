import { useEffect } from 'react';

/**
 * A button that is disabled while its request is on its way loses the focus to the page. It gets the focus back when it is enabled again,
 * if it was reached by keyboard and nothing else has been focused since.
 */
export function useFocusBack(): void {
  useEffect(() => {
    let last: HTMLButtonElement | undefined;
    const remember = ({ target }: FocusEvent) => {
      last = target instanceof HTMLButtonElement && target.matches(':focus-visible') ? target : undefined;
    };
    const enabled = new MutationObserver((changes) => {
      if (last && !last.disabled && changes.some(({ target }) => target === last)) last.focus({ preventScroll: true });
    });
    document.addEventListener('focusin', remember);
    enabled.observe(document.body, { subtree: true, attributes: true, attributeFilter: ['disabled'] });
    return () => {
      document.removeEventListener('focusin', remember);
      enabled.disconnect();
    };
  }, []);
}
