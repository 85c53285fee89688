export { NoticesMenu } from './NoticesMenu';
export { useTelling } from './useTelling';
