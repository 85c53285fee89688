export * from './time';
export * from './zoned';
