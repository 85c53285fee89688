import { part } from '../../shared/ui';

/** Fetched when the first unknown sender is shown. */
export const IdentifyBand = part(() => import('./IdentifyBand').then((part) => part.IdentifyBand));
/** Fetched when the customer is first laid beside a script. */
export const SaidBefore = part(() => import('./SaidBefore').then((part) => part.SaidBefore));
