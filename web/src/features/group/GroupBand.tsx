import { Box, Button } from '@mui/material';
import type { Dossier, Member } from '../../shared/api';
import { ProblemNote, useRefusal } from '../../shared/ui';
import { useWriteTo } from '../write-to';
import { reachedWords, standingWords } from './model/members';

/** Who takes part in a group, who of them gets our texts, and whom nobody knows yet. Each has a conversation of their own, too. */
export function GroupBand({ dossier: { conversation, members } }: { dossier: Dossier }) {
  const refusal = useRefusal('TEXT');
  const open = useWriteTo(conversation.lineId);
  return (
    <Box component="section" aria-label="In this group" sx={{ px: 2, py: 1, typography: 'body2' }}>
      <Box>
        <strong>A group.</strong> {reachedWords(members)}
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', columnGap: 3 }}>
        {members.map((member) => (
          <Box component="li" key={member.address} sx={{ display: 'flex', alignItems: 'baseline', columnGap: 0.75 }}>
            <Name member={member} />
            <Box component="span" sx={{ color: member.optedOut ? 'error.main' : 'text.secondary' }}>
              {standingWords(member)}
            </Box>
            <Button
              disabled={refusal !== '' || open.isPending}
              title={refusal}
              onClick={() => open.mutate(member.address)}
              sx={{ p: 0, fontSize: 'inherit' }}
            >
              {member.toIdentify ? `Identify ${member.number}` : `Write to ${firstName(member)} alone`}
            </Button>
          </Box>
        ))}
      </Box>
      {open.error && <ProblemNote problem={open.error} />}
    </Box>
  );
}

const firstName = ({ name }: Member) => name.split(' ')[0] ?? name;

function Name({ member }: { member: Member }) {
  return (
    <Box component="span" className="figures">
      <Box component="span" sx={{ fontWeight: 650 }}>
        {member.name}
      </Box>
      {member.name !== member.number && ` ${member.number}`}
    </Box>
  );
}
