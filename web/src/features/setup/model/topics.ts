import type { Topic, TopicColour, TopicSetup } from '../../../shared/api/types';

export const COLOURS: TopicColour[] = [
  'PINE',
  'MOSS',
  'REED',
  'SLATE',
  'LAKE',
  'PLUM',
  'ROSE',
  'CLAY',
  'UMBER',
  'STONE',
];

/** What there is to set up about a topic. */
export function setupOf({ name, colour, promiseMinutes, retired, version }: Omit<Topic, 'id'>): TopicSetup {
  return { name, colour, promiseMinutes, retired, version };
}

/** A colour that no topic in use has, if there is one. */
export function freeColour(used: Topic[]): TopicColour {
  return COLOURS.find((colour) => !used.some((topic) => topic.colour === colour)) ?? 'STONE';
}
