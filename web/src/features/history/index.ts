export { HistoryPlace } from './HistoryPlace';
