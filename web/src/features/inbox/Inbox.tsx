import { Box, useMediaQuery } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { countsQuery, dossierQuery, linesQuery, listQuery, type Session, topicsQuery } from '../../shared/api';
import { ribbonQuery } from './queries';
import { writeSentence } from '../../shared/sentence';
import { useAddress, useKeys, useTitle } from '../../shared/ui';
import { Script } from '../script';
import { SeveralBar } from '../several';
import { List } from './List';
import { ListHead } from './ListHead';
import { inGroup, type ListAddress, type ListGroup, nextOrder, readAddress, step, writeAddress } from './model/choice';
import { Ribbon } from './Ribbon';
import { useHeldKeys } from './useHeldKeys';
import { useHeldRows } from './useHeldRows';
import { useHere } from './useHere';
import { useKeptAddress } from './useKeptAddress';
import { useMarks } from './useMarks';
import { useMovedOn } from './useMovedOn';

interface Props {
  session: Session;
  /** Shows only those to identify. */
  toIdentify?: boolean;
}

const EMPTY = {
  OUR_TURN: 'Nobody is waiting for us. New texts from customers appear here.',
  THEIR_TURN: 'Nothing here. Conversations we have answered wait here for the customer.',
  SET_ASIDE: 'Nothing is set aside. Press A in a conversation to hide it until a time.',
  DONE: 'Nothing is done yet. Press D in a conversation to finish it; you can still find it.',
};
const NO_LINES = 'You are not on a line yet, so no texts arrive here. A team lead can add you to a team under Set-up.';
const EMPTY_TO_IDENTIFY = 'Nobody to identify. Texts from unknown numbers appear here.';
const NARROWED = 'No conversations in this group match the sentence. Remove a part of it to see more.';

/** The list and the script beside it; on a phone, one after the other. */
export function Inbox({ session, toIdentify = false }: Props) {
  const navigate = useNavigate();
  const [params, setParams] = useAddress();
  const id = Number(useParams().id) || undefined;
  const narrow = useMediaQuery('(max-width: 760px)');
  const address = readAddress(params, toIdentify);
  const meant = toIdentify ? { ...address.sentence, toIdentify } : address.sentence;
  const sentence = writeSentence(meant);
  const list = useInfiniteQuery(listQuery({ group: address.group, order: address.order, sentence }));
  const counts = useQuery(countsQuery(sentence));
  const waiting = useQuery(ribbonQuery(writeSentence({ ...meant, left: undefined }))).data ?? [];
  const lineList = useQuery(linesQuery);
  const topics = useQuery(topicsQuery).data ?? [];
  const lines = lineList.data ?? [];
  const fresh = useMemo(() => list.data?.pages.flatMap((page) => page.rows) ?? [], [list.data]);
  const read = useMemo(
    () => new Map(list.data?.pages.flatMap((page) => page.seen.map((each) => [each.conversationId, each.at] as const))),
    [list.data],
  );
  const scroller = useRef<HTMLDivElement>(null);
  const name = `${address.group} ${address.order} ${sentence}`;
  const { rows, waiting: changes, release } = useHeldRows(fresh, name, scroller);
  const ids = rows.map((row) => row.id);

  const place = toIdentify ? '/identify' : '/inbox';
  const search = writeAddress(address, toIdentify).toString();
  const { here, open } = useHere(id, (next) => navigate({ pathname: `${place}/${next}`, search }));
  const at = here === undefined ? -1 : ids.indexOf(here);
  // Where the open row stood when it was last in the list: from there the arrows go on once it has left.
  const [stood, setStood] = useState({ here, at, of: name });
  if (stood.here !== here || stood.of !== name || (at >= 0 && stood.at !== at)) setStood({ here, at, of: name });
  const keep = useKeptAddress(
    session.staff.id,
    session.page.inbox,
    toIdentify ? undefined : writeAddress(address).toString(),
    (kept) => {
      const all = new URLSearchParams(kept);
      const text = params.get('text');
      if (text !== null) all.set('text', text);
      // In an effect: drawn when it is its turn.
      void navigate(`?${all}`, { replace: true });
    },
  );
  const change = (next: ListAddress) => {
    const wanted = writeAddress(next, toIdentify);
    keep(wanted.toString());
    setParams(wanted);
  };
  const whose = (kind: 'mine' | 'nobody' | 'everyone') => () =>
    change({ ...address, sentence: { ...address.sentence, whose: { kind } } });
  const total = counts.data
    ? {
        OUR_TURN: counts.data.ourTurn,
        THEIR_TURN: counts.data.theirTurn,
        SET_ASIDE: counts.data.setAside,
        DONE: counts.data.done,
      }[address.group]
    : rows.length;
  const marks = useMarks(name, ids, total);
  const example = rows.find((row) => marks.all || marks.ids.includes(row.id));
  const shown = useQuery({ ...dossierQuery(id ?? 0), enabled: id !== undefined });
  const opened = id === undefined ? undefined : shown.data?.conversation;
  useTitle(opened && (opened.customerName ?? opened.number), toIdentify ? 'To identify' : 'Inbox');
  useHeldKeys(here === id && (id === undefined || shown.isFetched), marks.any);
  const go = (group: ListGroup) => () => change(inGroup(address, group, toIdentify));
  const walk = (by: 1 | -1) => open(step(ids, here, by, stood.at));
  const chooseOn = (by: 1 | -1) => {
    const next = step(ids, here, by, stood.at);
    if (next !== undefined) marks.on(at < 0 ? undefined : here, next);
    open(next);
  };
  useKeys({
    arrowdown: () => walk(1),
    arrowup: () => walk(-1),
    'shift+arrowdown': () => chooseOn(1),
    'shift+arrowup': () => chooseOn(-1),
    s: () => here !== undefined && marks.mark(here, false),
    1: go('OUR_TURN'),
    2: go('THEIR_TURN'),
    3: go('SET_ASIDE'),
    4: go('DONE'),
    v: () => change({ ...address, order: nextOrder(address) }),
    m: whose('mine'),
    u: whose('nobody'),
    e: whose('everyone'),
  });

  useMovedOn((moved) => {
    if (session.page.stays || moved !== here) return;
    if (narrow) void navigate({ pathname: place, search });
    else open([step(ids, here, 1, stood.at), step(ids, here, -1, stood.at)].find((next) => next !== here));
  });

  const narrowed = sentence !== '' && !(toIdentify && sentence === 'to identify');
  const empty =
    lineList.data?.length === 0
      ? NO_LINES
      : narrowed
        ? NARROWED
        : toIdentify
          ? EMPTY_TO_IDENTIFY
          : EMPTY[address.group];
  const showList = !narrow || id === undefined;
  const showScript = !narrow || id !== undefined;
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      {showList && (
        <Ribbon
          waiting={waiting}
          me={session.staff.id}
          zone={lines[0]?.zone ?? 'UTC'}
          chosen={here}
          left={address.sentence.left}
          onOpen={open}
          onLeft={(span) =>
            change({ ...inGroup(address, 'OUR_TURN', toIdentify), sentence: { ...address.sentence, left: span } })
          }
        />
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
            <ListHead
              session={session}
              address={address}
              counts={counts.data}
              toIdentify={toIdentify}
              onChange={change}
            />
            <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column', position: 'relative' }}>
              <List
                key={name}
                query={list}
                rows={rows}
                me={session.staff.id}
                lines={lines}
                topics={topics}
                read={read}
                chosen={here}
                empty={empty}
                marks={marks}
                waiting={changes}
                onRelease={release}
                name={name}
                scroller={scroller}
                onOpen={open}
              />
            </Box>
            {marks.any && (
              <SeveralBar
                chosen={marks.all ? { group: address.group, sentence } : { ids: marks.ids }}
                count={marks.count}
                total={total}
                first={example?.id}
                zone={lines.find((line) => line.id === example?.lineId)?.zone ?? 'UTC'}
                topics={topics}
                onAll={marks.all ? undefined : marks.markAll}
                onClear={marks.clear}
              />
            )}
          </Box>
        )}
        {showScript &&
          (id === undefined ? (
            <Box sx={{ display: 'grid', placeItems: 'center', color: 'text.secondary', p: 4, textAlign: 'center' }}>
              <p>
                Choose a conversation to read its script.
                <br />
                The arrow keys move through the list; <kbd>?</kbd> shows every key.
              </p>
            </Box>
          ) : (
            <Script
              key={id}
              id={id}
              session={session}
              at={Number(params.get('text')) || undefined}
              onBack={narrow ? () => void navigate({ pathname: place, search }) : undefined}
            />
          ))}
      </Box>
    </Box>
  );
}
