export { DAYS } from './week';
export { WeekEditor } from './WeekEditor';
