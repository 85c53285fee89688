export * from './conversations';
export type { Days } from './days';
export { type Left, leftWords } from './left';
export { type Grammar, type Part, type Piece, quoted } from './grammar';
