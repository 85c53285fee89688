export { NoticeChoices } from './NoticeChoices';
export { NoticesMenu } from './NoticesMenu';
export { useTelling } from './useTelling';
