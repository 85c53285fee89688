export * from './formats';
export * from './money';
export * from './time';
export * from './zoned';
export { languageName, LANGUAGES } from './languages';
