export { ToDoBand } from './ToDoBand';
export { ToDoChoice } from './ToDoChoice';
export { DeskMenu } from './DeskMenu';
