import { Box, Button } from '@mui/material';
import { type ReactNode, type RefObject } from 'react';
import type { Dossier as DossierData, Line, Topic } from '../../shared/api';
import { ActButton, Moment, OwnerMark, TopicMark, useRefusal } from '../../shared/ui';
import { AgreementFact } from '../agreement';
import { guestRefusal } from '../guests';
import type { Acts } from './useActs';
import { Watching } from './Watching';

interface Props {
  dossier: DossierData;
  line: Line | undefined;
  me: number;
  open: boolean;
  onFold: () => void;
  /** Whether the customer lies beside the script. */
  sheetOpen: boolean;
  onSheet: () => void;
  onBack: (() => void) | undefined;
  acts: Acts;
  topics: Topic[];
  onSetAside: (anchor: HTMLElement) => void;
  onAbout: (anchor: HTMLElement) => void;
  /** Where the menus that keys open are hung up. */
  setAsideButton: RefObject<HTMLButtonElement | null>;
  aboutButton: RefObject<HTMLButtonElement | null>;
  onHandOver: () => void;
  onBringIn: () => void;
  /** Opens the finding and exporting of the script. */
  onFind: () => void;
  /** The team it was handed to, other than the line's. */
  teamName: string | undefined;
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {name}{' '}
      </Box>
      {children}
    </Box>
  );
}

/** Who it is, and what there is to know before answering; or, when that is not known, that it is not. */
export function Dossier(props: Props) {
  const { dossier, line, me, open, onFold, onBack, acts, topics, setAsideButton, aboutButton } = props;
  const { conversation, customer } = dossier;
  const mine = conversation.owner?.id === me;
  const several = conversation.numbers > 1;
  const zone = line?.zone ?? 'UTC';
  const refusal = useRefusal('WORK') || guestRefusal(dossier.myPart);
  return (
    <Box
      component="header"
      sx={{ flex: 'none', borderBottom: 1, borderColor: 'divider', bgcolor: 'background.paper', px: 2, py: 1 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        {onBack && <Button onClick={onBack}>← List</Button>}
        <Box
          component="h2"
          sx={{
            m: 0,
            typography: 'title',
            flex: 1,
            minWidth: 140,
            overflowWrap: 'anywhere',
            lineHeight: 1.2,
          }}
        >
          {customer?.name ?? conversation.number}
        </Box>
        <Watching id={conversation.id} me={me} />
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75, typography: 'body2' }}>
          <OwnerMark owner={conversation.owner} me={me} size={26} />
          {mine ? 'mine' : (conversation.owner?.name ?? 'nobody’s')}
          {props.teamName && `, with ${props.teamName}`}
        </Box>
        {mine ? (
          <ActButton hint="L" refusal={refusal} onClick={acts.letGo}>
            Let go
          </ActButton>
        ) : (
          <ActButton hint="T" refusal={refusal} onClick={() => acts.take(conversation.owner?.id ?? 0)}>
            Take
          </ActButton>
        )}
        <ActButton hint="H" refusal={refusal} aria-haspopup="dialog" onClick={props.onHandOver}>
          Hand over
        </ActButton>
        {(conversation.group === 'OUR_TURN' || conversation.group === 'THEIR_TURN') && (
          <ActButton hint="+" refusal={refusal} aria-haspopup="dialog" onClick={props.onBringIn}>
            Bring in
          </ActButton>
        )}
        {(conversation.group === 'OUR_TURN' || conversation.group === 'THEIR_TURN') && (
          <ActButton
            hint="A"
            refusal={refusal}
            ref={setAsideButton}
            aria-haspopup="menu"
            onClick={(event) => props.onSetAside(event.currentTarget)}
          >
            Set aside
          </ActButton>
        )}
        {conversation.group === 'SET_ASIDE' && (
          <ActButton hint="O" refusal={refusal} onClick={acts.takeUp}>
            Bring back
          </ActButton>
        )}
        {conversation.group === 'OUR_TURN' && (
          <ActButton hint="X" refusal={refusal} onClick={acts.needsNoAnswer}>
            No answer needed
          </ActButton>
        )}
        {conversation.group === 'BLANK' ? null : conversation.group === 'DONE' ? (
          <ActButton hint="O" refusal={refusal} variant="outlined" onClick={acts.reopen}>
            Reopen
          </ActButton>
        ) : (
          <ActButton hint="D" refusal={refusal} variant="outlined" onClick={acts.finish}>
            Done
          </ActButton>
        )}
        <Button onClick={onFold} aria-expanded={open}>
          {open ? 'Hide details' : 'Show details'}
        </Button>
      </Box>
      {open && (
        <Box
          className="figures"
          sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2.5, rowGap: 0.25, typography: 'body2', mt: 0.5 }}
        >
          <Box
            component="span"
            sx={{ display: 'inline-flex', columnGap: 1.25, flexWrap: 'wrap', alignItems: 'center' }}
          >
            <Box component="span" sx={{ color: 'text.secondary' }}>
              about
            </Box>
            {conversation.topics.map((id) => {
              const topic = topics.find((each) => each.id === id);
              return topic && <TopicMark key={id} topic={topic} />;
            })}
            <ActButton
              hint="B"
              refusal={refusal}
              ref={aboutButton}
              aria-label="Set topics"
              aria-haspopup="dialog"
              onClick={(event) => props.onAbout(event.currentTarget)}
              sx={{ p: 0, fontSize: 'inherit' }}
            >
              {conversation.topics.length === 0 ? 'add a topic…' : 'change…'}
            </ActButton>
          </Box>
          {conversation.answerable && !several && <AgreementFact conversation={conversation} onOpen={props.onSheet} />}
          {customer && <Fact name="writes from">{conversation.number}</Fact>}
          <Fact name="to">{line ? `${line.name}, ${line.shownNumber}` : '…'}</Fact>
          {customer?.details.map((detail) => (
            <Fact key={detail.name} name={detail.name.toLowerCase()}>
              {detail.detail}
            </Fact>
          ))}
          {customer?.site && <Fact name="at">{customer.site}</Fact>}
          {customer?.nextAppointment && (
            <Fact name="next">
              {customer.nextAppointment.what}, <Moment at={customer.nextAppointment.startsAt} zone={zone} />
            </Fact>
          )}
          {customer?.openJobs.map((job) => (
            <Fact key={job.what} name="open job">
              {job.what}, {job.standing}
            </Fact>
          ))}
          {customer?.email && <Fact name="e-mail">{customer.email}</Fact>}
          {!several && (
            <ActButton
              hint="C"
              aria-expanded={props.sheetOpen}
              onClick={props.onSheet}
              sx={{ p: 0, fontSize: 'inherit' }}
            >
              {customer ? 'customer…' : 'this number…'}
            </ActButton>
          )}
          <ActButton hint="Ctrl+F" onClick={props.onFind} sx={{ p: 0, fontSize: 'inherit' }}>
            find or export…
          </ActButton>
        </Box>
      )}
      {conversation.group === 'SET_ASIDE' && (
        <Box role="note" sx={{ mt: 0.75, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}>
          <strong>Set aside</strong> until{' '}
          {conversation.asideUntil ? (
            <>
              <Moment at={conversation.asideUntil} zone={zone} />, or until they write.
            </>
          ) : (
            'they write.'
          )}
        </Box>
      )}
      {conversation.group === 'BLANK' && !conversation.notForUs && (
        <Box role="note" sx={{ mt: 0.75, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}>
          Nothing has been said here yet. It appears in the inbox with the first text.
        </Box>
      )}
      {conversation.failed && (
        <Box role="note" sx={{ mt: 0.75, pl: 1.5, borderLeft: 3, borderColor: 'error.main', typography: 'body2' }}>
          <strong>Not delivered:</strong> {conversation.failureReason} It is our turn until the text is sent again, sent
          to another number, or left as it is. You can do that below the text in the script.
        </Box>
      )}
      {!conversation.answerable && (
        <Box role="note" sx={{ mt: 0.75, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}>
          This sender is a name or short code, not a phone number. It can be read but not answered.
        </Box>
      )}
    </Box>
  );
}
