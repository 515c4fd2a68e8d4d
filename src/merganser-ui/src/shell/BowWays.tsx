import type { Schemas } from '../api/client';
import { WayLink, Ways } from '../parts/Ways';

export type BowWay =
  'sheet' | 'wrong' | 'measures' | 'history' | 'string' | 'sights' | 'crawls' | 'speed' | 'board' | 'card';

const ways: [BowWay, string][] = [
  ['sheet', 'Work order'],
  ['wrong', 'Something is wrong'],
  ['measures', 'Bow and archer'],
  ['history', 'Adjusters and history'],
  ['string', 'String'],
  ['sights', 'Sight axes'],
  ['crawls', 'Crawls'],
  ['speed', 'Chronograph'],
  ['board', 'Draw board'],
  ['card', 'Card'],
];

export const bowWayLabel = (way: BowWay) => ways.find(([name]) => name === way)![1];

/** The ways to look at one bow. */
export function BowWays({ bowId, way, kind }: { bowId: string; way: BowWay; kind: Schemas['BowKind'] }) {
  const shown = ways.filter(([name]) => name !== 'crawls' || kind === 'barebow');
  return (
    <Ways label="The bow">
      {shown.map(([name, label]) => (
        <WayLink
          key={name}
          to={name === 'sheet' ? `/bows/${bowId}/bow` : `/bows/${bowId}/bow?way=${name}`}
          here={name === way}
        >
          {label}
        </WayLink>
      ))}
      <WayLink to={`/bows/${bowId}/visit`}>Visits</WayLink>
    </Ways>
  );
}
