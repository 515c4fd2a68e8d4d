import { WayLink, Ways } from '../parts/Ways';

export type BowWay = 'sheet' | 'measures' | 'history' | 'string' | 'sights' | 'card';

const ways: [BowWay, string][] = [
  ['sheet', 'Work order'],
  ['measures', 'Bow and archer'],
  ['history', 'Adjusters and history'],
  ['string', 'String'],
  ['sights', 'Sight axes'],
  ['card', 'Card'],
];

export const bowWayLabel = (way: BowWay) => ways.find(([name]) => name === way)![1];

/** The ways to look at one bow. */
export function BowWays({ bowId, way }: { bowId: string; way: BowWay }) {
  return (
    <Ways label="The bow">
      {ways.map(([name, label]) => (
        <WayLink
          key={name}
          to={name === 'sheet' ? `/bows/${bowId}/bow` : `/bows/${bowId}/bow?way=${name}`}
          here={name === way}
        >
          {label}
        </WayLink>
      ))}
    </Ways>
  );
}
