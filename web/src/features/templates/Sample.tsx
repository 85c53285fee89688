import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ProblemNote } from '../../shared/ui';
import { partsWords } from './model/book';
import { sampleQuery } from './queries';
import { FilledWords } from './TemplateWords';

interface Props {
  words: string;
  /** Takes the quotation marks off that came with words from elsewhere. */
  onUnquote?: ((words: string) => void) | undefined;
}

/** How words look for a customer, how long they get, and what is wrong with them. */
export function Sample({ words, onUnquote }: Props) {
  const { data, error, isPlaceholderData } = useQuery(sampleQuery(words));
  if (error) return <ProblemNote problem={error} />;
  if (!data || words.trim() === '') return null;
  const { faults, customer, gaps, shortest, longest, without, customers, unquoted } = data;
  return (
    <Box component="section" aria-label="How it looks" sx={{ display: 'grid', gap: 0.5 }}>
      {unquoted !== undefined && onUnquote && !isPlaceholderData && (
        <Box role="status" sx={{ typography: 'body2' }}>
          There are quotation marks around the text.{' '}
          <Button sx={{ p: 0 }} onClick={() => onUnquote(unquoted)}>
            Remove them
          </Button>
        </Box>
      )}
      {faults.length > 0 ? (
        faults.map(({ at, why }) => (
          <Box key={at} role="alert" sx={{ color: 'error.main', typography: 'body2' }}>
            Character {at + 1}: {why}
          </Box>
        ))
      ) : (
        <>
          <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
            {customer === undefined ? 'Before any customer has written, it reads:' : `For ${customer} it reads:`}
          </Box>
          <Box
            sx={{
              typography: 'words',
              whiteSpace: 'pre-wrap',
              overflowWrap: 'anywhere',
              borderLeft: 2,
              borderColor: 'divider',
              pl: 1.5,
            }}
          >
            <FilledWords words={data.words} gaps={gaps} />
          </Box>
          <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
            {partsWords(shortest, longest)}
            {customers > 0 && ` for the ${customers} customers who wrote last`}
            {without > 0 && `; something is missing for ${without} of them`}
          </Box>
        </>
      )}
    </Box>
  );
}
