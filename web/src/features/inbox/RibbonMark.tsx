import { useTheme } from '@mui/material/styles';
import type { Staff } from '../../shared/api';

interface Props {
  owner: Staff | undefined;
  me: number;
  chosen: boolean;
  height: number;
  colour: string | undefined;
}

/** The same shapes as in the list: a ring for nobody's, a filled tablet for mine, a lozenge for a colleague's. */
export function RibbonMark({ owner, me, chosen, height, colour }: Props) {
  const inks = useTheme().vars?.palette.inks;
  return (
    <svg
      width={16}
      height={height}
      viewBox="0 0 16 13"
      aria-hidden
      preserveAspectRatio="xMidYMid meet"
      style={{ display: 'block' }}
    >
      {chosen && <rect x="0" y="0" width="16" height="13" fill={inks?.pineWash} stroke={inks?.ink} strokeWidth="1" />}
      {!owner && <circle cx="8" cy="6.5" r="4.4" fill="none" stroke={colour} strokeWidth="1.8" />}
      {owner && owner.id === me && <rect x="3" y="2" width="10" height="9" rx="1" fill={colour} />}
      {owner && owner.id !== me && (
        <path d="M5 2.5h6l3 4-3 4H5l-3-4z" fill={inks?.sheet} stroke={colour} strokeWidth="1.5" />
      )}
    </svg>
  );
}
