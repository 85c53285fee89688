/** One candidate: who, how likely, and what can be done about it. */
export const rowStyle = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 92px 148px' },
  columnGap: 1.5,
  alignItems: 'start',
  py: 0.5,
  borderTop: 1,
  borderColor: 'divider',
} as const;
