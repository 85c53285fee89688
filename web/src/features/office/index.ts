export { Leaving } from './Leaving';
export { OfficePage } from './OfficePage';
