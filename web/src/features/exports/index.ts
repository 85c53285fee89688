export { ExportButton } from './ExportButton';
