export { FindBar } from './parts';
export { standsIn } from './model/shown';
export { type Find, type ShownPart, useFind } from './useFind';
export { useFindKey } from './useFindKey';
export { useReach } from './useReach';
