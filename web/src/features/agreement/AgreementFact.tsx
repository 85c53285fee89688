import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { Conversation } from '../../shared/api';
import { agreementWords } from './model/agreement';
import { agreementQuery } from './queries';

interface Props {
  conversation: Conversation;
  /** Opens what was said about it. */
  onOpen: () => void;
}

/** May we text them? A word and a shape in the dossier. */
export function AgreementFact({ conversation, onOpen }: Props) {
  const { data } = useQuery(agreementQuery(conversation));
  if (!data) return null;
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        texts{' '}
      </Box>
      <ButtonBase
        onClick={onOpen}
        aria-label={`Agreement to texts: ${agreementWords(data.service)}`}
        sx={{ font: 'inherit', fontWeight: data.service.answer === 'OPTED_OUT' ? 700 : 'inherit' }}
      >
        {agreementWords(data.service)}
      </ButtonBase>
    </Box>
  );
}
