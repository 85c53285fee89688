import { createTheme, type Theme } from '@mui/material/styles';
import type { CSSProperties } from 'react';

/** Paper and ink: the only place where colours, type and spacing are chosen. */
export interface Inks {
  /** The ground everything lies on. */
  ground: string;
  sheet: string;
  ink: string;
  faintInk: string;
  hairline: string;
  /** What can be pressed and what is chosen. */
  pine: string;
  onPine: string;
  pineWash: string;
  /** Late and failed. */
  madder: string;
  /** Soon. */
  saffron: string;
  /** Links and information. */
  slate: string;
  /** Notes. */
  parchment: string;
  /** The squares beside topics. */
  topics: Record<TopicInk, string>;
  /** The marks of people. */
  people: Record<PersonInk, string>;
}

type TopicInk = 'PINE' | 'MOSS' | 'REED' | 'SLATE' | 'LAKE' | 'PLUM' | 'ROSE' | 'CLAY' | 'UMBER' | 'STONE';

type PersonInk = 'PINE' | 'SLATE' | 'PLUM' | 'RUST' | 'OCHRE' | 'MOSS' | 'TEAL' | 'WINE';

/** Type for one purpose each, beside MUI's own. */
type Purposes =
  /** The name of the product, in the masthead and on the front page. */
  | 'wordmark'
  /** The same on the sheet that lies before everything. */
  | 'cover'
  /** What a page or a person is called. */
  | 'title'
  /** A part of a page. */
  | 'heading'
  /** What was said, in a script. */
  | 'words'
  /** What was said, cut short, in a row. */
  | 'excerpt'
  /** A picture among words that one chooses from many. */
  | 'emoji'
  /** A stage direction. */
  | 'aside'
  /** Along an axis. */
  | 'axis';

declare module '@mui/material/styles' {
  interface Palette {
    inks: Inks;
  }
  interface PaletteOptions {
    inks?: Inks;
  }
  // Only an interface can be added to.
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface TypographyVariants extends Record<Purposes, CSSProperties> {}
  // Only an interface can be added to.
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  interface TypographyVariantsOptions extends Partial<Record<Purposes, CSSProperties>> {}
}

const light: Inks = {
  ground: '#FAF7F0',
  sheet: '#FFFFFF',
  ink: '#20262B',
  faintInk: '#5C6268',
  hairline: '#DCD5C5',
  pine: '#1F5C50',
  onPine: '#FFFFFF',
  pineWash: '#E9F0EB',
  madder: '#A23B2E',
  saffron: '#8A590F',
  slate: '#38556F',
  parchment: '#F2EBD8',
  topics: {
    PINE: '#2E6B5E',
    MOSS: '#6E7F2F',
    REED: '#A58A2B',
    SLATE: '#4A667F',
    LAKE: '#2F86A0',
    PLUM: '#75508A',
    ROSE: '#B0607E',
    CLAY: '#B5663F',
    UMBER: '#7A5A3C',
    STONE: '#7C7F80',
  },
  people: {
    PINE: '#1F5C50',
    SLATE: '#38556F',
    PLUM: '#6B4480',
    RUST: '#974A22',
    OCHRE: '#7D5E12',
    MOSS: '#56661F',
    TEAL: '#1D6C80',
    WINE: '#853652',
  },
};

const dark: Inks = {
  ground: '#16191A',
  sheet: '#1E2324',
  ink: '#ECE7DA',
  faintInk: '#A9ABA3',
  hairline: '#3B4244',
  pine: '#86CBB7',
  onPine: '#10221D',
  pineWash: '#22332E',
  madder: '#EE9A8C',
  saffron: '#DDAE63',
  slate: '#A5C1DB',
  parchment: '#332D20',
  topics: {
    PINE: '#5FA893',
    MOSS: '#A3B45C',
    REED: '#D3B957',
    SLATE: '#86A3BF',
    LAKE: '#63B8D0',
    PLUM: '#B391C7',
    ROSE: '#DB93AE',
    CLAY: '#DB9069',
    UMBER: '#B5936F',
    STONE: '#A9ACAD',
  },
  people: {
    PINE: '#86CBB7',
    SLATE: '#A5C1DB',
    PLUM: '#C8A6DA',
    RUST: '#E5A079',
    OCHRE: '#DDBB63',
    MOSS: '#B4C56C',
    TEAL: '#7CC8DC',
    WINE: '#E39BB4',
  },
};

/** Conversations are set in a book serif, the interface in a humanist sans. */
const bookSerif = '"Literata Variable", Georgia, serif';
const interfaceSans = '"Atkinson Hyperlegible Next Variable", Verdana, sans-serif';

function palette(inks: Inks) {
  return {
    inks,
    primary: { main: inks.pine, contrastText: inks.onPine },
    error: { main: inks.madder },
    warning: { main: inks.saffron },
    info: { main: inks.slate },
    background: { default: inks.ground, paper: inks.sheet },
    text: { primary: inks.ink, secondary: inks.faintInk },
    divider: inks.hairline,
  };
}

/** Where the keys are is always seen. */
function focusRing(t: Theme) {
  return { outline: `2px solid ${t.vars?.palette.inks.pine ?? ''}`, outlineOffset: 1 };
}

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-theme' },
  colorSchemes: { light: { palette: palette(light) }, dark: { palette: palette(dark) } },
  shape: { borderRadius: 4 },
  shadows: Array<string>(25).fill('none') as never,
  typography: {
    fontFamily: interfaceSans,
    fontSize: 14,
    body1: { fontSize: '0.9375rem', lineHeight: 1.45 },
    body2: { fontSize: '0.875rem', lineHeight: 1.4 },
    caption: { fontSize: '0.8125rem', lineHeight: 1.35, fontVariantNumeric: 'tabular-nums' },
    wordmark: { fontFamily: bookSerif, fontSize: '1.25rem', fontWeight: 650, letterSpacing: '-0.01em' },
    cover: { fontFamily: bookSerif, fontSize: '2rem', fontWeight: 600, lineHeight: 1.5, letterSpacing: '-0.01em' },
    title: { fontFamily: bookSerif, fontSize: '1.25rem', fontWeight: 600, lineHeight: 1.35 },
    heading: { fontFamily: bookSerif, fontSize: '1.0625rem', fontWeight: 600, lineHeight: 1.4 },
    words: { fontFamily: bookSerif, fontSize: '1rem', lineHeight: 1.55 },
    excerpt: { fontFamily: bookSerif, fontSize: '0.875rem', lineHeight: 1.45 },
    emoji: { fontSize: '1.375rem', lineHeight: 1.6 },
    aside: { fontFamily: bookSerif, fontSize: '0.875rem', lineHeight: 1.45, fontStyle: 'italic' },
    axis: { fontSize: '0.75rem', lineHeight: 1.35, fontVariantNumeric: 'tabular-nums' },
    button: { textTransform: 'none', fontWeight: 600, letterSpacing: 0 },
  },
  components: {
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: { root: ({ theme: t }) => ({ fontFamily: 'inherit', '&:focus-visible': focusRing(t) }) },
    },
    MuiButton: {
      defaultProps: { size: 'small' },
      styleOverrides: {
        root: ({ theme: t }) => ({
          minWidth: 0,
          lineHeight: 1.5,
          // Can be reached, to say why it does nothing.
          '&[aria-disabled="true"]': {
            color: t.vars?.palette.action.disabled,
            backgroundColor: 'transparent',
            cursor: 'default',
          },
          '&.MuiButton-contained[aria-disabled="true"]': { backgroundColor: t.vars?.palette.action.disabledBackground },
        }),
      },
    },
    MuiChip: { styleOverrides: { root: { borderRadius: 4 } } },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiMenu: { defaultProps: { transitionDuration: 0 } },
    MuiMenuItem: {
      styleOverrides: {
        root: ({ theme: t }) => ({
          // As the current row of a list: a stroke at its side, not a frame that its neighbours cut.
          '&:focus-visible': { outline: 'none', boxShadow: `inset 3px 0 0 ${t.vars?.palette.inks.pine ?? ''}` },
          '&.Mui-focusVisible, &:hover': { backgroundColor: t.vars?.palette.inks.pineWash },
        }),
      },
    },
    MuiPopover: {
      defaultProps: { transitionDuration: 0 },
      styleOverrides: { paper: ({ theme: t }) => ({ border: `1px solid ${t.vars?.palette.inks.hairline ?? ''}` }) },
    },
    MuiDialog: {
      defaultProps: { transitionDuration: 0 },
      styleOverrides: { paper: ({ theme: t }) => ({ border: `1px solid ${t.vars?.palette.inks.hairline ?? ''}` }) },
    },
    MuiTextField: {
      defaultProps: { variant: 'standard', slotProps: { inputLabel: { shrink: true, required: false } } },
    },
    MuiTooltip: {
      defaultProps: { enterDelay: 500, describeChild: true },
      styleOverrides: {
        tooltip: ({ theme: t }) => ({
          ...t.typography.body2,
          color: t.vars?.palette.inks.ground,
          backgroundColor: t.vars?.palette.inks.ink,
        }),
      },
    },
    MuiCssBaseline: {
      styleOverrides: (t) => ({
        'html, body, #root': { height: '100%' },
        'time, .figures': { fontVariantNumeric: 'tabular-nums' },
        ':focus-visible': focusRing(t),
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important' },
        },
        '@media print': { '.no-print': { display: 'none !important' } },
      }),
    },
  },
});

/** The stroke at the side of the current row. */
export const hereEdge = 'inset 3px 0 0 var(--mui-palette-primary-main)';

/** Note paper: ruled lines and a double margin rule in slate, so that it is unmistakable without colour. */
export const notePaper = (t: Theme) => {
  const slate = t.vars?.palette.inks.slate ?? '';
  const rule = `color-mix(in srgb, ${slate} 26%, transparent)`;
  return {
    backgroundColor: t.vars?.palette.background.paper ?? '',
    backgroundImage: `repeating-linear-gradient(to bottom, transparent 0 23px, ${rule} 23px 24px)`,
    borderLeft: `4px double ${slate}`,
  };
};
