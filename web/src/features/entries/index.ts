export { EntryLine } from './EntryLine';
export { type GoTo, ScriptScroll } from './ScriptScroll';
export { LinkedWords } from './LinkedWords';
export { Marked } from './Marked';
export { around } from './model/cut';
export { deliveryWords, direction, firstUnread, printed, type Printed } from './model/scene';
