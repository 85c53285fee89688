export { CustomerPage } from './CustomerPage';
export { CustomersPlace } from './CustomersPlace';
export { CustomerInSheet } from './CustomerInSheet';
