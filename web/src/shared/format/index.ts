export * from './time';
