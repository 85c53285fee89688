export { Script } from './Script';
export { useActs } from './useActs';
export { useTypedLately } from './useTypedLately';
export { useWatch } from './useWatch';
