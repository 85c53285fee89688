import { PlaceTabs } from './PlaceTabs';

const PLACES = [
  ['/office', 'Now'],
  ['/setup', 'Set-up'],
] as const;

/** The parts of the office, for leads. */
export function OfficeTabs() {
  return <PlaceTabs name="Office" places={PLACES} />;
}
