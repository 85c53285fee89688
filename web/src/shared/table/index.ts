export { DataTable } from './DataTable';
export type { Column } from './columns';
export type { Order } from './Head';
