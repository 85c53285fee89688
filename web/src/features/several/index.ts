export { SeveralBar } from './SeveralBar';
