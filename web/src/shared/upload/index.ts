export { UploadArea } from './UploadArea';
export { useUploads } from './useUploads';
