export { LookBand } from './LookBand';
