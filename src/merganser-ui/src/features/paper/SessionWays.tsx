import { WayKey, Ways } from '../../parts/Ways';

export type Way = 'reading' | 'shots' | 'move' | 'ladder' | 'learned';

interface Props {
  way: Way;
  shots: number;
  onLook: (way: Way) => void;
  /** At the paper. */
  onNocks?: () => void;
  /** At a target. */
  onSizes?: () => void;
  onMark: () => void;
}

/** What can be looked at beside the sheet. */
export function SessionWays({ way, shots, onLook, onNocks, onSizes, onMark }: Props) {
  return (
    <Ways beside label="What to look at">
      {(
        [
          ['reading', 'Reading'],
          ['shots', `Shots, ${shots}`],
          ['move', 'Log a move'],
          ['ladder', 'Ladder'],
          ['learned', 'Learned'],
        ] as const
      ).map(([name, label]) => (
        <WayKey key={name} aria-pressed={way === name} onClick={() => onLook(name)}>
          {label}
        </WayKey>
      ))}
      {onNocks && <WayKey onClick={onNocks}>Nocks</WayKey>}
      {onSizes && <WayKey onClick={onSizes}>Sizes</WayKey>}
      <WayKey onClick={onMark}>Mark a shot</WayKey>
    </Ways>
  );
}
