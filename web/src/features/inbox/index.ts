export { Inbox } from './Inbox';
