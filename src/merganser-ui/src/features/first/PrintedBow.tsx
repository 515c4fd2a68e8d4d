import { BowDrawing } from '../../parts/BowDrawing';
import type { Answers, Kind } from './questions';
import s from './FirstPage.module.css';

/** Where it is printed, in the box of the bow's drawing, and where its words stand. */
interface Place {
  x: number;
  y: number;
  r: number;
  wordsAt: number;
  where: string;
}

const places: Record<Kind, { weight: Place; draw?: Place }> = {
  compound: {
    weight: { x: 45, y: 30, r: 14, wordsAt: 46, where: 'on the limb' },
    draw: { x: 34, y: 186, r: 13, wordsAt: 138, where: 'on the cam or module' },
  },
  recurve: { weight: { x: 47, y: 150, r: 14, wordsAt: 112, where: 'on the lower limb' } },
  barebow: { weight: { x: 47, y: 150, r: 14, wordsAt: 112, where: 'on the lower limb' } },
  longbow: { weight: { x: 55, y: 78, r: 13, wordsAt: 66, where: 'above the grip' } },
};

interface Props {
  kind: Kind;
  hand: Answers['hand'];
  weight: string;
  draw: string;
}

/** The bow with the places at which its weight and its draw length are printed. */
export function PrintedBow({ kind, hand, weight, draw }: Props) {
  const left = hand === 'left';
  const at = places[kind];
  const shown = [
    { place: at.weight, says: weight },
    ...(at.draw ? [{ place: at.draw, says: draw }] : [{ place: null, says: draw }]),
  ];
  return (
    <svg
      className={s.printed}
      viewBox="0 0 330 200"
      role="img"
      aria-label={`${weight} ${at.weight.where}${at.draw ? `, ${draw} ${at.draw.where}` : ''}`}
    >
      <g aria-hidden="true">
        <BowDrawing kind={kind} hand={hand} height={200} />
        {shown.map(({ place, says }) => {
          if (!place) return null;
          const x = left ? 100 - place.x : place.x;
          return (
            <g key={place.where}>
              <circle cx={x} cy={place.y} r={place.r} fill="none" stroke="var(--ink)" strokeDasharray="3 3" />
              <path d={`M${x + place.r} ${place.y}L140 ${place.wordsAt}`} stroke="var(--ink)" />
              <text x="148" y={place.wordsAt - 6} fontSize="19.5" fill="var(--ink2)">
                {place.where}
              </text>
              <text x="148" y={place.wordsAt + 16} fontSize="23" fontWeight="640" fill="var(--ink)">
                {says}
              </text>
            </g>
          );
        })}
      </g>
    </svg>
  );
}
