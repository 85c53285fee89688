import { Box } from '@mui/material';
import { piecesOf } from './model/pieces';

/** A template's words, each placeholder a named chip. */
export function TemplateWords({ words }: { words: string }) {
  return (
    <Box sx={{ typography: 'words', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>
      {piecesOf(words).map((piece, i) =>
        piece.name === undefined ? (
          <span key={i}>{piece.words}</span>
        ) : (
          <Box
            key={i}
            component="span"
            sx={{
              typography: 'caption',
              color: 'info.main',
              border: 1,
              borderColor: 'divider',
              borderRadius: 1,
              px: 0.5,
              mx: 0.25,
              whiteSpace: 'nowrap',
            }}
          >
            {piece.name}
            {piece.fallback !== undefined && (
              <Box component="span" sx={{ color: 'text.secondary' }}>{` or “${piece.fallback}”`}</Box>
            )}
          </Box>
        ),
      )}
    </Box>
  );
}

interface Filled {
  words: string;
  gaps: { from: number; to: number; name: string }[];
}

/** Filled words; what is missing stands out, and says so in words. */
export function FilledWords({ words, gaps }: Filled) {
  const ends = [0, ...gaps.flatMap(({ from, to }) => [from, to]), words.length];
  return (
    <>
      {ends.slice(1).map((to, i) => {
        const part = words.slice(ends[i], to);
        return i % 2 === 0 ? (
          <span key={i}>{part}</span>
        ) : (
          <Box key={i} component="mark" sx={{ bgcolor: 'transparent', color: 'error.main', fontWeight: 700 }}>
            {part}
          </Box>
        );
      })}
    </>
  );
}
