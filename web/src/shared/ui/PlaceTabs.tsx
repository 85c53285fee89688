import { Box } from '@mui/material';
import { NavLink } from 'react-router';

interface Props {
  name: string;
  /** Addresses and their words. */
  places: readonly (readonly [string, string])[];
}

/** The parts of a place, as words that lead there. */
export function PlaceTabs({ name, places }: Props) {
  return (
    <Box
      component="nav"
      aria-label={name}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2.5,
        px: 2,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      {places.map(([address, words]) => (
        <Box
          key={address}
          component={NavLink}
          to={address}
          end={places.some(([other]) => other !== address && other.startsWith(`${address}/`))}
          sx={{
            py: 0.75,
            color: 'text.secondary',
            textDecoration: 'none',
            borderBottom: 2,
            borderColor: 'transparent',
            '&.active': { borderColor: 'primary.main', fontWeight: 700, color: 'text.primary' },
          }}
        >
          {words}
        </Box>
      ))}
    </Box>
  );
}
