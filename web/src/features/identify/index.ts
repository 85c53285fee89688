import { lazy } from 'react';

/** Fetched when the first unknown sender is shown. */
export const IdentifyBand = lazy(() => import('./IdentifyBand').then((part) => ({ default: part.IdentifyBand })));
/** Fetched when the customer is first laid beside a script. */
export const SaidBefore = lazy(() => import('./SaidBefore').then((part) => ({ default: part.SaidBefore })));
