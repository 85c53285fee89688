import { part } from '../../shared/ui';

/** Fetched with the first group. */
export const GroupBand = part(() => import('./GroupBand').then((part) => part.GroupBand));
