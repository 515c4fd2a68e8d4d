import { MenuKey } from '../../parts/MenuKey';
import { WayLink, Ways } from '../../parts/Ways';

export type ArrowWay = 'build' | 'compare' | 'weights' | 'chart' | 'finder' | 'versions';

export const arrowWays: [ArrowWay, string][] = [
  ['build', 'Build'],
  ['compare', 'Compare'],
  ['weights', 'Light, middle, heavy'],
  ['chart', 'Needed spine'],
  ['finder', 'Finder'],
  ['versions', 'Versions and files'],
];

const to = (bowId: string, arrowId: string, way: ArrowWay) =>
  `/bows/${bowId}/arrow?arrow=${arrowId}${way === 'build' ? '' : `&way=${way}`}`;

/** The catalogue, out of which a part goes into this arrow. */
const catalogueOf = (bowId: string, arrowId: string) => `/catalogue?bow=${bowId}&arrow=${arrowId}`;

/** How far it is honest. */
const rangeOf = (bowId: string, arrowId: string) => `/bows/${bowId}/groups?way=range&arrow=${arrowId}`;

/** The ways to look at an arrow, as a row. */
export function ArrowWays({ bowId, arrowId, way }: { bowId: string; arrowId: string; way: ArrowWay }) {
  return (
    <Ways label="The arrow">
      {arrowWays.map(([name, label]) => (
        <WayLink key={name} to={to(bowId, arrowId, name)} here={name === way}>
          {label}
        </WayLink>
      ))}
      <WayLink to={rangeOf(bowId, arrowId)}>Range</WayLink>
      <WayLink to={catalogueOf(bowId, arrowId)}>Catalogue</WayLink>
    </Ways>
  );
}

/** The same behind one key, where the drawing needs the room. */
export const MoreWays = ({ bowId, arrowId }: { bowId: string; arrowId: string }) => (
  <MenuKey
    label="The arrow"
    links={[
      ...arrowWays.slice(1).map(([name, label]) => [to(bowId, arrowId, name), label] as const),
      [rangeOf(bowId, arrowId), 'Range'],
      [catalogueOf(bowId, arrowId), 'Catalogue of parts'],
    ]}
  >
    Compare, charts, files
  </MenuKey>
);
