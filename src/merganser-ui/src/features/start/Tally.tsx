import { tallyPath } from '../../drawing/tally';

const HEIGHT = 26;
/** More than so many marks are a number alone. */
const MOST = 60;

/** Arrows as tally marks: four strokes and one across. */
export const Tally = ({ count }: { count: number }) => {
  const { path, width } = tallyPath(Math.min(count, MOST), HEIGHT);
  return (
    <svg width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden="true">
      <path d={path} fill="none" stroke="var(--ink)" strokeWidth="2.4" strokeLinecap="round" />
    </svg>
  );
};
