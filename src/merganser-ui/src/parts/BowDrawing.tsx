import { bowOutline, stringMarks, type BowKind, type BowOutline, type StringShots } from '../drawing/bow';

const words: Record<BowKind, string> = {
  compound: 'compound bow',
  recurve: 'recurve bow',
  barebow: 'barebow',
  longbow: 'longbow',
};

/** A bow from the side: a left-handed one faces the other way. */
export function BowDrawing({
  kind,
  hand,
  height,
  thin,
  shots,
}: {
  kind: BowKind;
  hand: 'right' | 'left';
  height: number;
  thin?: boolean;
  /** The string is the gauge: dark as far as it was shot, crossed where it is looked at. */
  shots?: StringShots;
}) {
  const bow = bowOutline(kind);
  const marks = shots && stringMarks(bow.straight, shots);
  const { x, width } = shots ? bow.box : { x: 0, width: 100 };
  const k = thin ? 2 : 1;
  return (
    <svg
      width={(height * width) / 200}
      height={height}
      viewBox={`${hand === 'left' && shots ? 100 - x - width : x} 0 ${width} 200`}
      role="img"
      aria-label={`${hand === 'left' ? 'Left' : 'Right'}-handed ${words[kind]}, seen from the side`}
    >
      <g
        transform={hand === 'left' ? 'translate(100 0) scale(-1 1)' : undefined}
        fill="none"
        stroke="var(--ink)"
        strokeLinecap="round"
      >
        <path d={bow.string} strokeWidth={1 * k} />
        {marks && <path d={marks.shot} strokeWidth={3.4} strokeLinecap="butt" />}
        {marks?.checks.map((check) => (
          <path
            key={check.d}
            d={check.d}
            strokeWidth={check.due ? 3 : 1.6}
            stroke={check.due ? 'var(--crest)' : undefined}
          />
        ))}
        <BowBody bow={bow} k={k} />
      </g>
    </svg>
  );
}

/** Limbs, riser, cams and what is fitted; as small as in a head the fittings are left out. */
export function BowBody({ bow, k = 1 }: { bow: BowOutline; k?: number }) {
  return (
    <>
      <path d={bow.cables} stroke="var(--ink2)" strokeWidth={0.6 * k} />
      <path d={bow.limbs} strokeWidth={3.4 * k} />
      <path d={bow.riser} fill="var(--ink2)" stroke="var(--ink)" strokeWidth={0.8} strokeLinejoin="round" />
      {k === 1 && <path d={bow.fittings} strokeWidth={1.5} />}
      {k === 1 && <path d={bow.weights} fill="var(--ink)" strokeWidth={0.5} />}
      {bow.cams.map((cam) => (
        <g key={cam.y}>
          <circle cx={cam.x} cy={cam.y} r={cam.r} fill="var(--steel)" strokeWidth={2 * k} />
          <circle cx={cam.x + 2} cy={cam.y} r={1.5} fill="var(--ink)" strokeWidth={1} />
        </g>
      ))}
      {k === 1 && <path d={bow.modules} strokeWidth={1.2} />}
    </>
  );
}
