export { type Column, DataTable } from './DataTable';
