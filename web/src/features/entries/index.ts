export { EntryLine } from './EntryLine';
export { ScriptScroll } from './ScriptScroll';
export { firstUnread, printed, type Printed } from './model/scene';
