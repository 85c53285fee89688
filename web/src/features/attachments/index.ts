export { Attached } from './Attached';
export { OnPaper } from './OnPaper';
