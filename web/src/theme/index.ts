export { bookSerif, theme } from './theme';
export type { Inks } from './theme';
