import { EMPTY, type EmptyThing } from '../drawing/empty';
import s from './Drawn.module.css';

interface Props {
  of: EmptyThing;
  /** While it is being read: what is there at once is not preceded by a flash of it. */
  waits?: boolean;
}

/** The thing that will stand here, drawn empty; what is said of it stands beside. */
export function Drawn({ of, waits = false }: Props) {
  const { frame, path } = EMPTY[of];
  return (
    <svg
      className={waits ? `${s.drawn} ${s.waits}` : s.drawn}
      viewBox={frame.join(' ')}
      style={{ maxWidth: frame[2], aspectRatio: `${frame[2]} / ${frame[3]}` }}
      aria-hidden="true"
      data-testid={`drawn-${of}`}
    >
      <path d={path} />
    </svg>
  );
}
