import { Box, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import type { Entry, Member } from '../../shared/api';
import { ActButton, ProblemNote, useRefusal } from '../../shared/ui';
import { useWriteTo, WriteTo } from '../write-to';
import { useSend } from '../writing';

interface Props {
  entry: Entry;
  line: number;
  numbers: string[];
  members: Member[];
  onWriteAgain: (words: string, again: number) => void;
  onLeave: (text: number) => void;
}

const small = { p: 0, minWidth: 0 } as const;

/** What one can do with a text that was not delivered: until one of it is done, the conversation is our turn. */
export function LostText({ entry, line, numbers, members, onWriteAgain, onLeave }: Props) {
  const mayText = useRefusal('TEXT');
  const mayWork = useRefusal('WORK');
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [elsewhere, setElsewhere] = useState(false);
  const words = entry.words ?? '';
  const carry = { words, again: entry.id, attachments: entry.attachments?.map(({ id }) => id) };
  const send = useSend(entry.conversationId, { onSent: () => undefined, onStays: () => undefined });
  const open = useWriteTo(line, carry);
  const go = () =>
    send.mutate({
      paper: 'REPLY',
      words,
      // However often it is pressed, and wherever, this text is sent again once.
      reference: `again-${entry.id}-${entry.conversationId}`,
      seen: undefined,
      again: entry.id,
    });
  const problem = send.error ?? open.error;
  const missed = members.filter(({ address }) =>
    entry.deliveries?.some(({ number, delivery }) => number === address && delivery === 'NOT_DELIVERED'),
  );
  return (
    <Box role="group" aria-label="Not delivered" sx={{ typography: 'body2' }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.75 }}>
        {missed.map((member) => (
          // The others have it; to send it to all again would double it for them.
          <ActButton
            key={member.address}
            sx={small}
            refusal={mayText}
            disabled={open.isPending}
            onClick={() => open.mutate(member.address)}
          >
            Write to {member.name} alone
          </ActButton>
        ))}
        {members.length === 0 && (
          <>
            <ActButton sx={small} refusal={mayText} disabled={send.isPending} onClick={go}>
              Send again
            </ActButton>
            <ActButton sx={small} refusal={mayText} onClick={() => onWriteAgain(words, entry.id)}>
              Change and send
            </ActButton>
            <ActButton
              sx={small}
              refusal={mayText}
              aria-haspopup="menu"
              disabled={open.isPending}
              onClick={(event) => (numbers.length > 0 ? setAnchor(event.currentTarget) : setElsewhere(true))}
            >
              Send to another number…
            </ActButton>
          </>
        )}
        <ActButton sx={small} refusal={mayWork} onClick={() => onLeave(entry.id)}>
          Leave it
        </ActButton>
      </Box>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {numbers.map((number) => (
          <MenuItem
            key={number}
            className="figures"
            onClick={() => {
              setAnchor(null);
              open.mutate(number);
            }}
          >
            {number}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setElsewhere(true);
          }}
        >
          Another number…
        </MenuItem>
      </Menu>
      {elsewhere && <WriteTo carry={carry} onClose={() => setElsewhere(false)} />}
      {problem && <ProblemNote problem={problem} />}
    </Box>
  );
}
