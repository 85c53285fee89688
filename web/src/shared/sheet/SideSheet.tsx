import { Box, Button } from '@mui/material';
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';

interface Props {
  title: string;
  /** Whether it was asked for just now, and takes the keys. */
  asked: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A sheet beside the work. It scrolls by itself; Escape in it closes it, and the keys go back to where they were. */
export function SideSheet({ title, asked, onClose, children }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  const before = useRef<Element | null>(null);
  useEffect(() => {
    if (!asked) return;
    before.current = document.activeElement;
    heading.current?.focus();
  }, [asked]);
  const close = () => {
    onClose();
    if (before.current instanceof HTMLElement) before.current.focus();
  };
  const pressed = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    close();
  };
  return (
    <Box
      component="aside"
      aria-label={title}
      className="no-print"
      onKeyDown={pressed}
      sx={{
        minHeight: 0,
        overflowY: 'auto',
        bgcolor: 'background.paper',
        borderLeft: { lg: 1 },
        borderColor: { lg: 'divider' },
        px: 2,
        pb: 2,
      }}
    >
      <Box
        sx={{
          position: 'sticky',
          top: 0,
          zIndex: 1,
          bgcolor: 'background.paper',
          display: 'flex',
          alignItems: 'baseline',
          gap: 1,
          pt: 1,
          pb: 0.5,
          mb: 1,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <Box
          component="h3"
          ref={heading}
          tabIndex={-1}
          sx={{ m: 0, typography: 'heading', flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}
        >
          {title}
        </Box>
        <Button onClick={close} aria-label={`Close ${title}`}>
          Close
        </Button>
      </Box>
      {children}
    </Box>
  );
}

/** Room for a sheet beside the work; where there is not enough of it, the sheet takes its place, and nothing else’s. */
export function Beside({ sheet, children }: { sheet: ReactNode; children: ReactNode }) {
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 'min(20vh, 180px)',
        display: 'grid',
        gridTemplateRows: 'minmax(0, 1fr)',
        gridTemplateColumns: sheet ? { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 320px' } : 'minmax(0, 1fr)',
      }}
    >
      <Box
        sx={{
          minHeight: 0,
          flexDirection: 'column',
          display: sheet ? { xs: 'none', lg: 'flex' } : 'flex',
          '@media print': { display: 'flex' },
        }}
      >
        {children}
      </Box>
      {sheet}
    </Box>
  );
}
