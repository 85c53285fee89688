export { WrongNumberBand } from './WrongNumberBand';
