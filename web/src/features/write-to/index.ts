export { WriteTo } from './WriteTo';
