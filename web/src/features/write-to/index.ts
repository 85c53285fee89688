export { useWriteTo } from './useWriteTo';
export { WriteTo } from './WriteTo';
