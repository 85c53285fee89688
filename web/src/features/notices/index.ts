export { noticesQuery } from './queries';
export { NoticesMenu } from './NoticesMenu';
export { useTelling } from './useTelling';
