import { part } from '../../shared/ui';

export { guestRefusal } from './model/guests';

/** Fetched with the first conversation into which somebody was brought. */
export const GuestsBand = part(() => import('./GuestsBand').then((part) => part.GuestsBand));

/** Fetched when the first colleague is brought in. */
export const BringIn = part(() => import('./BringIn').then((part) => part.BringIn));
