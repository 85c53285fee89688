export { OutagePage } from './OutagePage';
