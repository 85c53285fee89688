import { Box, useMediaQuery } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { countsQuery, linesQuery, listQuery, ribbonQuery, type Session } from '../../shared/api';
import { useKeys } from '../../shared/ui';
import { Script } from '../script';
import { List } from './List';
import { Ribbon } from './Ribbon';
import { ListHead } from './ListHead';
import { type ListAddress, readAddress, step, writeAddress } from './model/choice';

interface Props {
  session: Session;
  /** Shows only those to identify. */
  toIdentify?: boolean;
}

const EMPTY = {
  OUR_TURN: 'Nobody waits on us here. A text from a customer appears here by itself.',
  THEIR_TURN: 'Nothing here. What we answered waits here for the customer.',
  DONE: 'Nothing is done here yet. Press D in a conversation to finish it; it stays findable.',
};
const NO_LINES =
  'No line is set up yet, so no text can arrive. Name the business’s lines in the configuration and start again.';
const EMPTY_TO_IDENTIFY = 'Nobody to identify here. Texts from numbers that nobody we know holds appear here.';

/** The list and the script beside it; on a phone, one after the other. */
export function Inbox({ session, toIdentify = false }: Props) {
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const id = Number(useParams().id) || undefined;
  const narrow = useMediaQuery('(max-width: 760px)');
  const address = readAddress(params);
  const choice = { ...address, toIdentify };
  const list = useInfiniteQuery(listQuery(choice));
  const counts = useQuery(countsQuery({ whose: address.whose, line: address.line, toIdentify }));
  const waiting = useQuery(ribbonQuery({ whose: address.whose, line: address.line, toIdentify })).data ?? [];
  const lineList = useQuery(linesQuery);
  const lines = lineList.data ?? [];
  const rows = useMemo(() => list.data?.pages.flatMap((page) => page.rows) ?? [], [list.data]);

  const place = toIdentify ? '/identify' : '/inbox';
  const search = writeAddress(address).toString();
  const open = (next: number | undefined) => {
    if (next !== undefined) void navigate({ pathname: `${place}/${next}`, search });
  };
  const change = (next: ListAddress) => setParams(writeAddress(next));
  const ids = rows.map((row) => row.id);
  useKeys({
    arrowdown: () => open(step(ids, id, 1)),
    arrowup: () => open(step(ids, id, -1)),
    1: () => change({ ...address, group: 'OUR_TURN' }),
    2: () => change({ ...address, group: 'THEIR_TURN' }),
    3: () => change({ ...address, group: 'DONE' }),
  });

  const empty = lineList.data?.length === 0 ? NO_LINES : toIdentify ? EMPTY_TO_IDENTIFY : EMPTY[address.group];
  const showList = !narrow || id === undefined;
  const showScript = !narrow || id !== undefined;
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      {showList && (
        <Ribbon waiting={waiting} me={session.staff.id} zone={lines[0]?.zone ?? 'UTC'} chosen={id} onOpen={open} />
      )}
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: narrow ? '1fr' : 'minmax(320px, 380px) 1fr',
        }}
      >
        {showList && (
          <Box
            component="section"
            aria-label="List"
            sx={{
              display: 'flex',
              flexDirection: 'column',
              minHeight: 0,
              borderRight: narrow ? 0 : 1,
              borderColor: 'divider',
            }}
          >
            <ListHead address={address} counts={counts.data} lines={lines} toIdentify={toIdentify} onChange={change} />
            <List
              query={list}
              rows={rows}
              me={session.staff.id}
              lines={lines}
              chosen={id}
              empty={empty}
              onOpen={open}
            />
          </Box>
        )}
        {showScript &&
          (id === undefined ? (
            <Box sx={{ display: 'grid', placeItems: 'center', color: 'text.secondary', p: 4, textAlign: 'center' }}>
              <p>
                Choose a conversation to read its script.
                <br />
                The arrow keys walk the list; <kbd>?</kbd> shows every key.
              </p>
            </Box>
          ) : (
            <Script
              key={id}
              id={id}
              session={session}
              onBack={narrow ? () => void navigate({ pathname: place, search }) : undefined}
            />
          ))}
      </Box>
    </Box>
  );
}
