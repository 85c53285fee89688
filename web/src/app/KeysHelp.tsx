import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Switch,
} from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ask, keys, type Session } from '../shared/api';
import { ProblemNote, useMe } from '../shared/ui';

const KEYS: [string, string][] = [
  ['↑ ↓', 'move through the list'],
  ['1 2 3 4', 'our turn, their turn, set aside, done'],
  ['M U E', 'my conversations, nobody’s, all'],
  ['V', 'change the order of the list'],
  ['W', 'write to someone'],
  ['R', 'write a reply'],
  ['N', 'write a note'],
  ['F', 'another line or number to send with; Alt+F while you write'],
  ['Alt+T', 'the templates beside the script, while you write'],
  ['Alt+E', 'an emoji, while you write'],
  ['Alt+L', 'send later, or again and again, while you write'],
  ['Alt+A', 'attach a file or a voice message, while you write'],
  ['← →', 'from one opened picture to the next'],
  ['Tab', 'after a short name: its template; then to what is missing in it'],
  ['Alt+1 2 3', 'the first, second, third suggested template'],
  ['Ctrl+Enter', 'send; also Enter alone, if your profile says so'],
  ['Alt+Enter', 'send, and done'],
  ['T', 'take it'],
  ['H', 'hand it over'],
  ['+', 'bring in a colleague of another team'],
  ['L', 'let it go'],
  ['D', 'done'],
  ['A', 'set aside'],
  ['X', 'no answer needed'],
  ['O', 'reopen, or bring back'],
  ['B', 'set its topics'],
  ['Y J K', 'to identify: it is the first, second, third of those shown'],
  ['P', 'to identify: a new customer'],
  ['Q', 'to identify: ask who is writing'],
  ['-', 'to identify: not for us'],
  ['.', 'to identify: later, the next one'],
  ['Z', 'undo the last action, or take the text back before it leaves'],
  ['S', 'select it, to act on several'],
  ['Shift+↓ ↑', 'select more or fewer; B, A, D and R then act on all selected'],
  ['I', 'hide or show the details'],
  ['C', 'the customer beside the script'],
  ['G', 'notices'],
  ['Ctrl+K', 'jump to a customer, a number, or words in texts'],
  ['Ctrl+F', 'find words in the script'],
  ['Esc', 'leave the writing place; back to the list'],
  ['?', 'these keys'],
];

/** What every key does, and whether single letters are keys. */
export function KeysHelp({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const { letterKeys } = useMe().page;
  const set = useMutation({
    mutationFn: (on: boolean) => ask('PUT', '/api/me/letter-keys', { body: { on } }),
    onMutate: (on) =>
      queries.setQueryData<Session | null>(keys.session, (had) =>
        had ? { ...had, page: { ...had.page, letterKeys: on } } : had,
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.session }),
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title" maxWidth="md" fullWidth>
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <Box component="dl" sx={{ columnCount: { md: 2 }, columnGap: 4, m: 0 }}>
          {KEYS.map(([key, what]) => (
            <Box
              key={key}
              sx={{ display: 'grid', gridTemplateColumns: '150px 1fr', columnGap: 1, py: 0.25, breakInside: 'avoid' }}
            >
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {key}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {what}
              </Box>
            </Box>
          ))}
        </Box>
        <FormControlLabel
          sx={{ mt: 1.5 }}
          control={<Switch checked={letterKeys} onChange={(_, on) => set.mutate(on)} />}
          label="Single-letter keys"
        />
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
          They never act while you type. Switch them off if you use speech input or press keys by accident; arrows,
          Enter, Esc and keys with Ctrl or Alt keep working. You can change this later in your menu, under Keys.
        </Box>
        {set.error && <ProblemNote problem={set.error} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
