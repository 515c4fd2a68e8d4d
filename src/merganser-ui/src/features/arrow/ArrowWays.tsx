import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Link } from 'react-router';
import { Bubble } from '../../parts/Popover';

export type ArrowWay = 'build' | 'compare' | 'weights' | 'chart' | 'versions';

export const arrowWays: [ArrowWay, string][] = [
  ['build', 'Build'],
  ['compare', 'Compare'],
  ['weights', 'Light, middle, heavy'],
  ['chart', 'Needed spine'],
  ['versions', 'Versions and files'],
];

const to = (bowId: string, arrowId: string, way: ArrowWay) =>
  `/bows/${bowId}/arrow?arrow=${arrowId}${way === 'build' ? '' : `&way=${way}`}`;

/** The ways to look at an arrow, as a row. */
export function ArrowWays({ bowId, arrowId, way }: { bowId: string; arrowId: string; way: ArrowWay }) {
  return (
    <nav className="ways" aria-label="The arrow">
      {arrowWays.map(([name, label]) => (
        <Link key={name} className="way" to={to(bowId, arrowId, name)} aria-current={name === way ? 'true' : undefined}>
          {label}
        </Link>
      ))}
      <Link className="way" to={`/catalogue?bow=${bowId}`}>
        Catalogue
      </Link>
    </nav>
  );
}

/** The same behind one key, where the drawing needs the room. */
export function MoreWays({ bowId, arrowId }: { bowId: string; arrowId: string }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        className="plain"
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        Compare, charts, files
      </ButtonBase>
      <Bubble anchor={anchor} onClose={() => setAnchor(null)} label="Ways to look at it">
        <nav className="mini-stops" aria-label="The arrow">
          {arrowWays.slice(1).map(([name, label]) => (
            <Link key={name} to={to(bowId, arrowId, name)}>
              {label}
            </Link>
          ))}
          <Link to={`/catalogue?bow=${bowId}`}>Catalogue of parts</Link>
        </nav>
      </Bubble>
    </>
  );
}
