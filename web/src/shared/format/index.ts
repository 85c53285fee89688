export * from './money';
export * from './time';
export * from './zoned';
