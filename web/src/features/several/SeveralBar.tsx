import { Box, Button, Menu, MenuItem } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { type MomentKind, type SeveralAct, teamsQuery, type Topic } from '../../shared/api';
import { ActButton, TimeDialog, TopicMark, useKeys, useMe, useNow, useRefusal } from '../../shared/ui';
import { SeveralDialog } from './SeveralDialog';
import { TextToEach } from './TextToEach';
import { useBegun } from './useBegun';

interface Props {
  chosen: Pick<SeveralAct, 'ids' | 'group' | 'sentence'>;
  count: number;
  total: number;
  /** One of them, by whose line times are meant. */
  first: number | undefined;
  zone: string;
  topics: Topic[];
  /** Chooses all that the sentence means; empty when all are. */
  onAll: (() => void) | undefined;
  onClear: () => void;
}

const MOMENTS: { kind: MomentKind; words: string }[] = [
  { kind: 'LATER_TODAY', words: 'Later today' },
  { kind: 'TOMORROW', words: 'Tomorrow, at opening' },
  { kind: 'NEXT_MONDAY', words: 'Next Monday, at opening' },
  { kind: 'WHEN_THEY_WRITE', words: 'Until they write' },
];

/** How many are chosen, and what can be done with them all. */
export function SeveralBar({ chosen, count, total, first, zone, topics, onAll, onClear }: Props) {
  const now = useNow();
  const teams = useQuery(teamsQuery).data ?? [];
  const bar = useRef<HTMLDivElement>(null);
  const [about, setAbout] = useState<HTMLElement | null>(null);
  const [until, setUntil] = useState<HTMLElement | null>(null);
  const [ownTime, setOwnTime] = useState(false);
  const [writing, setWriting] = useState(false);
  const [act, setAct] = useState<SeveralAct>();
  const wanted = (rest: Omit<SeveralAct, 'ids' | 'group' | 'sentence'>) => {
    setAbout(null);
    setUntil(null);
    setOwnTime(false);
    setWriting(false);
    setAct({ ...chosen, ...rest });
  };
  const paper = useBegun(useMe().staff.id);
  const works = useRefusal('WORK');
  const many = useRefusal('SEND_TO_MANY');
  // While several are chosen, the keys mean all of them.
  useKeys(
    {
      escape: onClear,
      b: works === '' ? () => setAbout(bar.current) : undefined,
      a: works === '' ? () => setUntil(bar.current) : undefined,
      d: works === '' ? () => wanted({ what: 'DONE' }) : undefined,
      r: many === '' ? () => setWriting(true) : undefined,
    },
    true,
  );
  const usable = topics.filter((topic) => !topic.retired);
  return (
    <Box
      ref={bar}
      role="toolbar"
      aria-label="Selected conversations"
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        bgcolor: 'inks.pineWash',
        px: 1.5,
        py: 0.75,
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 1,
        alignItems: 'center',
      }}
    >
      <Box className="figures" role="status" sx={{ fontWeight: 700, mr: 0.5 }}>
        {count} selected
      </Box>
      {onAll && count < total && <Button onClick={onAll}>All {total}</Button>}
      <Button onClick={onClear}>None</Button>
      <Box sx={{ flexBasis: '100%' }} />
      <ActButton refusal={works} aria-haspopup="menu" onClick={(event) => setAbout(event.currentTarget)}>
        Add a topic…
      </ActButton>
      <ActButton refusal={works} aria-haspopup="menu" onClick={(event) => setUntil(event.currentTarget)}>
        Set aside…
      </ActButton>
      <ActButton refusal={works} onClick={() => wanted({ what: 'DONE' })}>
        Done…
      </ActButton>
      <ActButton refusal={many} onClick={() => setWriting(true)}>
        Text to each…
      </ActButton>
      <Menu anchorEl={about} open={about !== null} onClose={() => setAbout(null)}>
        {usable.map((topic) => (
          <MenuItem key={topic.id} onClick={() => wanted({ what: 'TOPIC', topicId: topic.id })}>
            <TopicMark topic={topic} />
            {usable.filter((each) => each.name === topic.name).length > 1 &&
              `, ${teams.find((team) => team.id === topic.teamId)?.name ?? ''}`}
          </MenuItem>
        ))}
        {usable.length === 0 && <MenuItem disabled>No topics are set up yet</MenuItem>}
      </Menu>
      <Menu anchorEl={until} open={until !== null} onClose={() => setUntil(null)}>
        {MOMENTS.map(({ kind, words }) => (
          <MenuItem key={kind} onClick={() => wanted({ what: 'SET_ASIDE', moment: kind })}>
            {words}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setUntil(null);
            setOwnTime(true);
          }}
        >
          At a time…
        </MenuItem>
      </Menu>
      {ownTime && first !== undefined && (
        <TimeDialog
          title="Set aside until"
          act="Continue"
          conversation={first}
          zone={zone}
          now={now}
          onClose={() => setOwnTime(false)}
          onChoose={(at) => wanted({ what: 'SET_ASIDE', moment: 'AT', at })}
        />
      )}
      {writing && (
        <TextToEach
          count={count}
          words={paper.begun.words}
          onWrite={paper.write}
          onClose={() => setWriting(false)}
          onText={() => wanted({ what: 'TEXT', words: paper.begun.words })}
        />
      )}
      {act && (
        <SeveralDialog
          act={act}
          reference={act.what === 'TEXT' ? paper.begun.reference : undefined}
          onBegun={act.what === 'TEXT' ? paper.sent : undefined}
          onClose={(finished) => {
            setAct(undefined);
            if (finished) onClear();
          }}
        />
      )}
    </Box>
  );
}
