import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { memo, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { useLocation } from 'react-router';
import {
  ApiProblem,
  dossierQuery,
  type Entry,
  goneQuery,
  type Hit,
  linesQuery,
  type Session,
  teamsQuery,
  topicsQuery,
} from '../../shared/api';
import { ProblemNote, useKeys, useStable, part } from '../../shared/ui';
import { type WritingHandle, WritingPlace } from '../writing';
import { Beside } from '../../shared/sheet';
import { Closed } from './Closed';
import { BringIn } from '../guests';
import { Dossier } from './Dossier';
import { Bands } from './Bands';
import { quoted } from './model/copy';
import { Reading } from './Reading';
import { useActs } from './useActs';
import { useSheet } from './useSheet';
import { useTypedLately } from './useTypedLately';
import { useWatch } from './useWatch';

/** Fetched with the first script. */
const WrongNumberBand = part(() => import('../wrong-number').then((part) => part.WrongNumberBand));

/** Fetched with the first script. */
const SetAsideMenu = part(() => import('./SetAsideMenu').then((part) => part.SetAsideMenu));

/** Fetched with the first script. */
const TopicPicker = part(() => import('./TopicPicker').then((part) => part.TopicPicker));

/** Fetched with the first script. */
const PlannedHere = part(() => import('../later').then((part) => part.PlannedHere));

/** Fetched with the first handing over. */
const HandOver = part(() => import('./HandOver').then((part) => part.HandOver));

/** Fetched when the customer is first laid beside a script. */
const CustomerSheet = part(() => import('./CustomerSheet').then((part) => part.CustomerSheet));

/** Fetched when the templates are first laid there. */
const TemplateSheet = part(() => import('../templates').then((part) => part.TemplateSheet));

const FOLDED = 'fabulum.dossier-folded';

/** As it was left; on a phone, where the script needs the room, folded. */
function unfoldedAtFirst(): boolean {
  const left = localStorage.getItem(FOLDED);
  return left === null ? window.matchMedia('(min-width: 761px)').matches : left === 'no';
}

const NONE: string[] = [];

interface Props {
  id: number;
  session: Session;
  /** A line to go to. */
  at?: number | undefined;
  /** Where words that were looked for stand, by line. */
  marks?: Map<number, Hit[]> | undefined;
  onBack: (() => void) | undefined;
}

/**
 * One conversation: its dossier, its script, and the writing place. Not drawn again while one only walks or chooses in the list
 * beside it.
 */
export const Script = memo(function Script({ id, session, at, marks, onBack }: Props) {
  const gone = useQuery(goneQuery(id)).data;
  const dossier = useQuery({ ...dossierQuery(id), enabled: gone === undefined });
  const lines = useQuery(linesQuery);
  const topics = useQuery(topicsQuery).data ?? [];
  const teams = useQuery(teamsQuery).data;
  const conversation = dossier.data?.conversation;
  const name = dossier.data?.customer?.name ?? conversation?.number ?? '';
  const acts = useActs(id, name);
  const teamName = useCallback((team: number) => teams?.find((each) => each.id === team)?.name ?? 'a team', [teams]);
  const writeAgain = useStable((words: string, again: number) => writing.current?.begin('REPLY', words, again));
  const quote = useStable((entry: Entry) =>
    writing.current?.begin('NOTE', quoted(entry.words ?? '', entry.speaker?.name ?? entry.writer?.name ?? name)),
  );
  const leave = useStable(acts.leave);
  const [asideAnchor, setAsideAnchor] = useState<HTMLElement | null>(null);
  const [handing, setHanding] = useState(false);
  const [bringing, setBringing] = useState(false);
  const [busyWriting, setBusyWriting] = useTypedLately();
  const readBefore = useWatch(id, gone === undefined, busyWriting);
  const [aboutAnchor, setAboutAnchor] = useState<HTMLElement | null>(null);
  const setAsideButton = useRef<HTMLButtonElement>(null);
  const aboutButton = useRef<HTMLButtonElement>(null);
  const [open, setOpen] = useState(unfoldedAtFirst);
  const sheet = useSheet();
  const writing = useRef<WritingHandle>(null);
  const finding = useRef<() => void>(null);
  const asked = useLocation().state as { write?: boolean; words?: string; again?: number } | null;
  const begin = asked?.write === true;
  const loaded = dossier.data !== undefined;
  useEffect(() => {
    if (begin && loaded) writing.current?.begin('REPLY', asked.words, asked.again);
    // Once for each time the user comes here to write.
  }, [begin, loaded, asked]);
  const fold = () => {
    localStorage.setItem(FOLDED, open ? 'yes' : 'no');
    setOpen(!open);
  };
  const group = conversation?.group;
  const several = (conversation?.numbers ?? 1) > 1;
  const inSight = group === 'OUR_TURN' || group === 'THEIR_TURN';
  const works = session.may.includes('WORK') && dossier.data?.myPart === undefined;
  useKeys({
    t: works ? () => acts.take(conversation?.owner?.id ?? 0) : undefined,
    l: works ? acts.letGo : undefined,
    h: works ? () => setHanding(true) : undefined,
    '+': works && inSight ? () => setBringing(true) : undefined,
    // Also where the page does not know yet how it stands, as with one key right after the other: what is so already stays so.
    d: works ? acts.finish : undefined,
    o: works ? (group === 'SET_ASIDE' ? acts.takeUp : acts.reopen) : undefined,
    a: works && inSight ? () => setAsideAnchor(setAsideButton.current) : undefined,
    x: works && group === 'OUR_TURN' ? acts.needsNoAnswer : undefined,
    b: works
      ? () => {
          if (!open) fold();
          // The button may only now be there.
          requestAnimationFrame(() => setAboutAnchor(aboutButton.current));
        }
      : undefined,
    r: () => writing.current?.begin('REPLY'),
    n: () => writing.current?.begin('NOTE'),
    f: () => writing.current?.choose(),
    i: fold,
    c: several ? undefined : () => sheet.toggle('customer'),
    escape: onBack,
  });

  const missing = dossier.error instanceof ApiProblem && dossier.error.status === 404;
  if (gone !== undefined || missing) return <Closed why={gone} onBack={onBack} />;
  if (dossier.error && !dossier.data) {
    return (
      <Box sx={{ p: 3 }}>
        <ProblemNote problem={dossier.error} onRetry={() => void dossier.refetch()} />
      </Box>
    );
  }
  if (!dossier.data || !conversation) return <Box aria-busy="true" />;
  const line = lines.data?.find((each) => each.id === conversation.lineId);
  const zone = line?.zone ?? 'UTC';
  const given = conversation.topics;
  return (
    <Box
      component="section"
      aria-label={`Conversation with ${name}`}
      sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0 }}
    >
      <Dossier
        dossier={dossier.data}
        line={line}
        me={session.staff.id}
        open={open}
        onFold={fold}
        sheetOpen={sheet.open === 'customer'}
        onSheet={() => sheet.toggle('customer')}
        onBack={onBack}
        acts={acts}
        topics={topics}
        onSetAside={setAsideAnchor}
        onAbout={setAboutAnchor}
        setAsideButton={setAsideButton}
        aboutButton={aboutButton}
        onHandOver={() => setHanding(true)}
        onBringIn={() => setBringing(true)}
        onFind={() => finding.current?.()}
        teamName={conversation.teamId === undefined ? undefined : teamName(conversation.teamId)}
      />
      {handing && (
        <Suspense fallback={null}>
          <HandOver id={id} name={name} zone={zone} onClose={() => setHanding(false)} onHandOver={acts.handOver} />
        </Suspense>
      )}
      {bringing && (
        <Suspense fallback={null}>
          <BringIn id={id} name={name} onClose={() => setBringing(false)} />
        </Suspense>
      )}
      <Suspense fallback={null}>
        <SetAsideMenu
          id={id}
          zone={zone}
          anchor={asideAnchor}
          onClose={() => setAsideAnchor(null)}
          onChoose={acts.setAside}
        />
        <TopicPicker
          anchor={aboutAnchor}
          topics={topics.filter(
            (topic) => topic.teamId === line?.teamId && (!topic.retired || given.includes(topic.id)),
          )}
          given={given}
          onClose={() => setAboutAnchor(null)}
          onToggle={(topic) =>
            given.includes(topic.id) ? acts.removeTopic(topic.id, topic.name) : acts.addTopic(topic.id)
          }
        />
      </Suspense>
      {acts.problem && <ProblemNote problem={acts.problem} />}
      <Bands
        dossier={dossier.data}
        me={session.staff.id}
        zone={zone}
        name={name}
        onAsk={(words) => writing.current?.begin('REPLY', words)}
      />
      <Beside
        sheet={
          sheet.open && (
            <Suspense key={sheet.open} fallback={null}>
              {sheet.open === 'customer' ? (
                <CustomerSheet dossier={dossier.data} zone={zone} asked={sheet.asked} onClose={sheet.close} />
              ) : (
                <TemplateSheet
                  conversation={conversation}
                  asked={sheet.asked}
                  written={() => writing.current?.written() ?? ''}
                  onInsert={(template) => writing.current?.insert(template)}
                  onClose={sheet.close}
                />
              )}
            </Suspense>
          )
        }
      >
        <Reading
          key={id}
          id={id}
          at={at}
          marks={marks}
          findingRef={finding}
          zone={zone}
          customer={name}
          me={session.staff.id}
          readBefore={readBefore}
          teamName={teamName}
          onWriteAgain={writeAgain}
          onQuote={quote}
          onLeave={leave}
          line={conversation.lineId}
          numbers={dossier.data.customer?.otherNumbers ?? NONE}
          members={dossier.data.members}
        />
        <Suspense fallback={null}>
          <PlannedHere conversation={conversation} />
        </Suspense>
      </Beside>
      {!conversation.toIdentify && conversation.answerable && !several && (
        <Suspense fallback={null}>
          <WrongNumberBand conversation={conversation} name={name} onWriteAgain={writeAgain} />
        </Suspense>
      )}
      <WritingPlace
        ref={writing}
        dossier={dossier.data}
        line={line}
        me={session.staff.id}
        onFinish={acts.finishAfter}
        onWriting={setBusyWriting}
        onTemplates={() => sheet.toggle('templates')}
      />
    </Box>
  );
});
