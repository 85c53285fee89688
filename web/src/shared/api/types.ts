import type { components, operations } from './schema';

type Schemas = components['schemas'];

export type Session = Schemas['SessionResponse'];
export type Staff = Schemas['StaffView'];
export type Line = Schemas['LineView'];
export type Conversation = Schemas['ConversationView'];
export type Entry = Schemas['EntryView'];
export type Dossier = Schemas['DossierView'];
export type Customer = Schemas['CustomerView'];
export type Draft = Schemas['DraftView'];
export type Paper = Draft['paper'];
export type InboxPage = Schemas['InboxPage'];
export type InboxCounts = Schemas['InboxCounts'];
export type ScriptPage = Schemas['ScriptPage'];
export type Parts = Schemas['PartsResponse'];
export type LiveMessage = Schemas['LiveMessage'];
export type Group = Conversation['group'];
export type Whose = NonNullable<NonNullable<operations['page']['parameters']['query']>['whose']>;
