export * from './sentence';
