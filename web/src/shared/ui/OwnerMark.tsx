import { useTheme } from '@mui/material/styles';
import type { Staff } from '../api';

interface Props {
  owner: Staff | undefined;
  me: number;
  size?: number;
}

function label(owner: Staff | undefined, me: number): string {
  if (!owner) return 'nobody’s';
  return owner.id === me ? 'mine' : `${owner.name}’s`;
}

/** Whose it is, by shape: a hollow ring for nobody, a filled tablet for me, an outlined lozenge for a colleague. */
export function OwnerMark({ owner, me, size = 30 }: Props) {
  const { vars } = useTheme();
  const inks = vars?.palette.inks;
  const mine = owner?.id === me;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 30 30"
      role="img"
      aria-label={label(owner, me)}
      style={{ flex: 'none' }}
    >
      <title>{label(owner, me)}</title>
      {!owner && (
        <circle cx="15" cy="15" r="9" fill="none" stroke={inks?.faintInk} strokeWidth="1.5" strokeDasharray="3 2.6" />
      )}
      {owner && mine && <rect x="2" y="5" width="26" height="20" rx="3" fill={inks?.pine} />}
      {owner && !mine && <path d="M6 5h18l5 10-5 10H6L1 15z" fill="none" stroke={inks?.faintInk} strokeWidth="1.2" />}
      {owner && (
        <text x="15" y="19" textAnchor="middle" fontSize="11" fontWeight="700" fill={mine ? inks?.onPine : inks?.ink}>
          {owner.initials}
        </text>
      )}
    </svg>
  );
}
