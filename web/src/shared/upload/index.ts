export { GoingFile, UploadArea } from './UploadArea';
export { useUploads } from './useUploads';
