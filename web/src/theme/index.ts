export { hereEdge, notePaper, theme } from './theme';
export type { Inks } from './theme';
