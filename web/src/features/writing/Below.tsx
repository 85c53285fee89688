import { type RefObject, Suspense } from 'react';
import { ApiProblem, type Attachment, type Dossier, type Line, type OfferedTemplate } from '../../shared/api';
import { part, ProblemNote } from '../../shared/ui';
import { StopWish } from '../agreement';
import { standsAlready } from './model/objections';
import { Objections } from './Objections';
import type { useAttaching } from './useAttaching';
import type { Going } from './useGoing';
import type { Papers } from './usePapers';
import { answeredMeanwhile, toConfirm } from './useSend';

/** Fetched with the first note. */
const MentionPicker = part(() => import('./MentionPicker').then((part) => part.MentionPicker));
const ToDoChoice = part(() => import('../to-do').then((part) => part.ToDoChoice));
/** Fetched with the first attachment. */
const OnPaper = part(() => import('../attachments').then((part) => part.OnPaper));
/** Fetched with the first writing place. */
const Inserting = part(() => import('./Inserting').then((part) => part.Inserting));

const NOTHING_SENT = 'Nothing was sent; your words are kept.';

interface Props {
  dossier: Dossier;
  line: Line | undefined;
  me: number;
  papers: Papers;
  field: RefObject<HTMLTextAreaElement | null>;
  attached: Attachment[];
  attaching: ReturnType<typeof useAttaching>;
  going: Going;
  refusal: string;
  onInsert: (template: OfferedTemplate, from?: number, to?: number) => void;
}

/** What belongs to the words, is offered for them, or speaks against them. */
export function Below({
  dossier: { conversation },
  line,
  me,
  papers: { isNote, note, top },
  field,
  attached,
  attaching,
  going,
  refusal,
  onInsert,
}: Props) {
  const { sheet } = top;
  const { tab, check, error } = going;
  return (
    <>
      {/* One for each paper: what belongs to a reply would stay, and answer Tab, until that for the first note is fetched. */}
      <Suspense key={isNote ? 'note' : 'reply'} fallback={null}>
        {!isNote && (attached.length > 0 || attaching.going.uploads.length > 0) && (
          <OnPaper attached={attached} going={attaching.going} onRemove={attaching.remove} />
        )}
        {isNote && <MentionPicker field={field} tab={tab} words={sheet.words} onWrite={note.write} />}
        {isNote && refusal === '' && (
          <ToDoChoice
            conversation={conversation.id}
            zone={line?.zone ?? 'UTC'}
            me={me}
            toDo={sheet.toDo}
            onChange={note.ask}
          />
        )}
        {!isNote && conversation.answerable && !going.looking && (
          <Inserting
            id={conversation.id}
            version={conversation.version}
            field={field}
            tab={tab}
            words={sheet.words}
            template={sheet.template}
            onInsert={onInsert}
          />
        )}
      </Suspense>
      <Suspense fallback={null}>
        {conversation.group === 'OUR_TURN' && conversation.numbers === 1 && <StopWish conversation={conversation} />}
      </Suspense>
      {error && (
        <ProblemNote
          problem={error}
          retry={answeredMeanwhile(error) ? 'Send mine too' : toConfirm(error).length > 0 ? 'Send anyway' : undefined}
          onRetry={going.again}
          brief={
            !isNote && error instanceof ApiProblem && standsAlready(error.fields, check) ? NOTHING_SENT : undefined
          }
        />
      )}
      {!isNote && attaching.refused !== undefined && <ProblemNote problem={attaching.refused} />}
      {!isNote && <Objections id={conversation.id} check={check} pressed={going.pressed} />}
    </>
  );
}
