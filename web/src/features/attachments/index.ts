export { Attached } from './Attached';
export { AttachMenu } from './AttachMenu';
export { CustomerFiles } from './CustomerFiles';
export { OnPaper } from './OnPaper';
export { Shelf } from './Shelf';
