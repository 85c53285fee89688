import { Box, ButtonBase } from '@mui/material';
import type { InboxCounts, Session } from '../../shared/api';
import { EVERYTHING, readSentence, writeSentence } from '../../shared/sentence';
import { inGroup, type ListAddress, type ListGroup, usualOrder } from './model/choice';
import { SavedSentences } from '../sentences';
import { SentenceLine } from './SentenceLine';
import { SinceLeft } from './SinceLeft';

interface Props {
  session: Session;
  address: ListAddress;
  counts: InboxCounts | undefined;
  toIdentify: boolean;
  onChange: (address: ListAddress) => void;
}

export const GROUPS: { group: ListGroup; words: string; count: (counts: InboxCounts) => number }[] = [
  { group: 'OUR_TURN', words: 'Our turn', count: (c) => c.ourTurn },
  { group: 'THEIR_TURN', words: 'Their turn', count: (c) => c.theirTurn },
  { group: 'SET_ASIDE', words: 'Set aside', count: (c) => c.setAside },
  { group: 'DONE', words: 'Done', count: (c) => c.done },
];

function countWords(count: number, most: number): string {
  return most > 0 && count >= most ? `${most}+` : String(count);
}

/** The groups with their counts, and the sentence that says which conversations these are. */
export function ListHead({ session, address, counts, toIdentify, onChange }: Props) {
  const said = writeSentence(address.sentence);
  const lost = counts?.notDelivered ?? 0;
  return (
    <Box sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <Box
        component="nav"
        aria-label="Groups"
        sx={{ display: 'flex', px: 1.5, columnGap: 1.75, pt: 0.75, flexWrap: 'wrap' }}
      >
        {GROUPS.map(({ group, words, count }) => {
          const chosen = group === address.group;
          return (
            <ButtonBase
              key={group}
              aria-pressed={chosen}
              onClick={() => onChange(inGroup(address, group, toIdentify))}
              sx={{
                py: 0.75,
                borderRadius: 0,
                gap: 0.5,
                typography: 'body1',
                fontWeight: chosen ? 700 : 500,
                color: chosen ? 'text.primary' : 'text.secondary',
                borderBottom: 2,
                borderColor: chosen ? 'primary.main' : 'transparent',
                whiteSpace: 'nowrap',
              }}
            >
              {words}
              <Box component="span" className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                {counts ? countWords(count(counts), counts.most) : '·'}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      <Box sx={{ px: 1.5, pt: 0.75, pb: 1, display: 'grid', gap: 0.5 }}>
        {lost > 0 && !address.sentence.failed && (
          <ButtonBase
            onClick={() =>
              onChange({ ...inGroup(address, 'OUR_TURN', toIdentify), sentence: { ...EVERYTHING, failed: true } })
            }
            sx={{ justifySelf: 'start', typography: 'body2', color: 'error.main', fontWeight: 600 }}
          >
            × Needs a hand: {lost} not delivered
          </ButtonBase>
        )}
        <SinceLeft
          who={session.staff.id}
          onShow={() =>
            onChange({ ...inGroup(address, 'OUR_TURN', toIdentify), sentence: { ...EVERYTHING, unread: true } })
          }
        />
        <SentenceLine address={address} toIdentify={toIdentify} onChange={onChange} />
        <SavedSentences
          session={session}
          here={{ place: 'INBOX', said, group: address.group, order: address.order }}
          plain={said === '' && address.order === usualOrder(address.group, toIdentify)}
          onChoose={(saved) =>
            onChange({
              group: saved.group as ListGroup,
              order: saved.order ?? address.order,
              sentence: readSentence(saved.said),
            })
          }
        />
      </Box>
    </Box>
  );
}
