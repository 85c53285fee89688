import { Box, ButtonBase, Link as MuiLink } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { type Conversation, linesQuery, staffQuery } from '../../shared/api';
import { Answered, Moment, useMe, useOpenConversation } from '../../shared/ui';
import { allPlannedQuery } from '../later';
import { deskQuery } from './queries';

function Heading({ children }: { children: ReactNode }) {
  return (
    <Box component="h2" sx={{ m: 0, px: 2, pt: 1, typography: 'body1', fontWeight: 700 }}>
      {children}
    </Box>
  );
}

interface LineProps {
  conversation: Conversation;
  when: ReactNode;
  words: string;
  strong: boolean;
  onOpen: () => void;
}

function Line({ conversation, when, words, strong, onOpen }: LineProps) {
  return (
    <ButtonBase
      onClick={onOpen}
      sx={{
        display: 'block',
        width: '100%',
        textAlign: 'left',
        px: 2,
        py: 0.75,
        borderTop: 1,
        borderColor: 'divider',
        borderRadius: 0,
        '&:hover': { bgcolor: 'inks.pineWash' },
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, justifyContent: 'space-between', typography: 'body2' }}>
        <Box sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>{conversation.customerName ?? conversation.number}</Box>
        <Box
          sx={{
            color: strong ? 'warning.main' : 'text.secondary',
            fontWeight: strong ? 700 : 400,
            whiteSpace: 'nowrap',
          }}
        >
          {when}
        </Box>
      </Box>
      <Box sx={{ typography: 'excerpt', overflowWrap: 'anywhere' }}>{words}</Box>
    </ButtonBase>
  );
}

/** What waits for a second look, what I am to do, the soonest first, and what I have begun to write, the latest first. */
export function DeskList({ onGo }: { onGo: () => void }) {
  const desk = useQuery({ ...deskQuery, staleTime: 0 });
  const lines = useQuery(linesQuery).data ?? [];
  const openConversation = useOpenConversation();
  const me = useMe().staff.id;
  const planned = useInfiniteQuery(allPlannedQuery({ writer: me, team: undefined })).data?.pages[0];
  const colleagues = useQuery(staffQuery).data ?? [];
  const nameOf = (id: number) => colleagues.find((one) => one.id === id)?.name ?? 'a colleague';
  const zone = (conversation: Conversation) => lines.find(({ id }) => id === conversation.lineId)?.zone ?? 'UTC';
  const open = (id: number) => {
    onGo();
    openConversation(id);
  };
  return (
    <Answered query={desk}>
      {({ looks, toDos, drafts }) => (
        <Box sx={{ pb: 1 }}>
          {looks.length > 0 && <Heading>Waiting for a second look</Heading>}
          {looks.map(({ staff, words, askedAt, conversation }) => (
            <Line
              key={`${conversation.id} ${askedAt}`}
              conversation={conversation}
              when={
                <>
                  {staff === me ? 'yours' : nameOf(staff)}, <Moment at={askedAt} zone={zone(conversation)} />
                </>
              }
              words={words}
              strong={staff !== me}
              onOpen={() => open(conversation.id)}
            />
          ))}
          {planned && planned.held.length > 0 && <Heading>Planned texts that were not sent</Heading>}
          {planned?.held.map((plan) => (
            <Line
              key={`planned ${plan.id}`}
              conversation={plan.conversation}
              when={<Moment at={plan.dueAt} zone={plan.zone} />}
              words={`${plan.held ?? ''} “${plan.filled}”`}
              strong
              onOpen={() => open(plan.conversation.id)}
            />
          ))}
          <Heading>To do</Heading>
          {toDos.length === 0 && (
            <Box sx={{ px: 2, py: 1, color: 'text.secondary' }}>
              Nothing to do. Write a note in a conversation and make it a to-do; it stands here until it is ticked off.
            </Box>
          )}
          {toDos.map(({ toDo, conversation }) => (
            <Line
              key={toDo.note}
              conversation={conversation}
              when={<Moment at={toDo.dueAt} zone={zone(conversation)} />}
              words={toDo.words}
              strong={toDo.broughtAt !== undefined}
              onOpen={() => open(conversation.id)}
            />
          ))}
          <Box sx={{ px: 2, pt: 0.5 }}>
            <MuiLink component={Link} to="/planned" onClick={onGo}>
              {planned === undefined || planned.waiting.length === 0
                ? 'All planned texts'
                : `All planned texts, ${planned.waiting.length}${planned.next === undefined ? '' : '+'} of them mine`}
            </MuiLink>
          </Box>
          <Heading>Drafts</Heading>
          {drafts.length === 0 && (
            <Box sx={{ px: 2, py: 1, color: 'text.secondary' }}>No drafts. What you begin to write is kept here.</Box>
          )}
          {drafts.map(({ draft, conversation }) => (
            <Line
              key={`${draft.conversationId} ${draft.paper}`}
              conversation={conversation}
              when={
                <>
                  {draft.paper === 'NOTE' ? 'note, ' : ''}
                  {draft.attached > 0 && `${draft.attached === 1 ? '1 attachment' : `${draft.attached} attachments`}, `}
                  <Moment at={draft.at} zone={zone(conversation)} />
                </>
              }
              words={draft.words}
              strong={false}
              onOpen={() => open(conversation.id)}
            />
          ))}
        </Box>
      )}
    </Answered>
  );
}
