export { Beside, SideSheet } from './SideSheet';
