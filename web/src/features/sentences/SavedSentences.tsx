import { Box, Button, ButtonBase, Popover } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { ask, keys, type SavedSentence, type Session } from '../../shared/api';
import { part } from '../../shared/ui';
import { type Sayable, sentencesQuery } from './queries';

/** Fetched when the first sentence is saved. */
const SaveForm = part(() => import('./SaveForm').then((part) => part.SaveForm));

interface Props {
  session: Session;
  /** The sentence that is shown. */
  here: Sayable;
  /** It says nothing in particular, so it need not be saved. */
  plain: boolean;
  onChoose: (saved: SavedSentence) => void;
}

function isThis(saved: SavedSentence, here: Sayable): boolean {
  return saved.said === here.said && saved.group === here.group && saved.order === here.order;
}

/** Sentences someone saved, each with how many it means now; and the way to save this one. */
export function SavedSentences({ session, here: said, plain, onChoose }: Props) {
  const saved = (useQuery(sentencesQuery).data ?? []).filter(({ place }) => place === said.place);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const here = saved.find((each) => isThis(each, said));
  if (saved.length === 0 && plain) return null;
  return (
    <Box
      component="nav"
      aria-label="Saved sentences"
      sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.75, typography: 'body2', alignItems: 'baseline' }}
    >
      {saved.map((each) => (
        <ButtonBase
          key={each.id}
          aria-pressed={each === here}
          onClick={() => onChoose(each)}
          sx={{
            font: 'inherit',
            borderRadius: 0,
            borderBottom: 2,
            borderColor: each === here ? 'primary.main' : 'transparent',
            fontWeight: each === here ? 700 : 500,
            gap: 0.5,
          }}
        >
          {each.name}
          {each.count !== undefined && (
            <Box component="span" className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
              {each.many ? `${each.count}+` : each.count}
            </Box>
          )}
        </ButtonBase>
      ))}
      {here?.mine && <DropSaved saved={here} />}
      {!here && !plain && (
        <Button sx={{ px: 0, py: 0 }} onClick={(event) => setAnchor(event.currentTarget)}>
          Save this sentence…
        </Button>
      )}
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        transitionDuration={0}
      >
        <Suspense fallback={null}>
          <SaveForm session={session} said={said} onDone={() => setAnchor(null)} />
        </Suspense>
      </Popover>
    </Box>
  );
}

function DropSaved({ saved }: { saved: SavedSentence }) {
  const queries = useQueryClient();
  const drop = useMutation({
    mutationFn: () => ask('DELETE', '/api/sentences/{id}', { path: { id: saved.id } }),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.sentences }),
  });
  return (
    <Button color="inherit" sx={{ px: 0, py: 0, color: 'text.secondary' }} onClick={() => drop.mutate()}>
      Delete it
    </Button>
  );
}
