export { prefetchWriteTo, WriteTo } from './LateWriteTo';
