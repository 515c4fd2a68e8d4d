import { bowOutline, stringMarks, type BowKind, type StringShots } from '../drawing/bow';

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
        <path d={bow.cables} stroke="var(--ink2)" strokeWidth={0.6 * k} />
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
        <path d={bow.limbs} strokeWidth={3 * k} />
        <path d={bow.grip} strokeWidth={5 * k} stroke="var(--ink2)" />
        {kind === 'recurve' && <path d="M60 78 H92 M58 124 H70 V134" strokeWidth={1.5 * k} />}
        {kind === 'barebow' && <circle cx="64" cy="126" r="5" fill="var(--ink)" />}
        {bow.cams.map((cam) => (
          <g key={cam.y}>
            <circle cx={cam.x} cy={cam.y} r={cam.r} fill="var(--steel)" strokeWidth={2 * k} />
            <circle cx={cam.x + 2} cy={cam.y} r={1.5} fill="var(--ink)" strokeWidth={1} />
          </g>
        ))}
      </g>
    </svg>
  );
}
