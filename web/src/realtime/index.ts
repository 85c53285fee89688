export { useLive } from './useLive';
export type { LineState } from './useLive';
