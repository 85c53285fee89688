import { part } from '../../shared/ui';

const load = () => import('./FindBar').then((part) => part.FindBar);

/** Fetched with the first script, so that it is there when its key is pressed. */
export const FindBar = part(load);

export function fetchFindBar(): void {
  // What fails now is tried again when it is needed.
  load().catch(() => undefined);
}
