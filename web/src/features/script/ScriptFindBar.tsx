import { ExportButton } from '../exports';
import { type Find, FindBar } from '../find';

interface Props {
  find: Find;
  conversation: number;
  customer: string;
  zone: string;
}

/** Finds words in a conversation, shows a part of it, and takes it out. */
export function ScriptFindBar({ find, conversation, customer, zone }: Props) {
  return (
    <FindBar find={find} label="this conversation" plans>
      <ExportButton
        said={`everything; ever; conversation ${conversation}`}
        title={`Conversation with ${customer}`}
        zone={zone}
      />
    </FindBar>
  );
}
