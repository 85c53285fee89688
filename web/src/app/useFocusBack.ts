import { useEffect } from 'react';

/**
 * A button that cannot be pressed while what it does is on its way loses the keys to the page. Whoever works by keyboard has them on it
 * again once it can be pressed, unless they are elsewhere by then.
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
