export { Script } from './Script';
