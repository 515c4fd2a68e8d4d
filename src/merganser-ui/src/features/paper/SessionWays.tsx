import { WayKey, Ways } from '../../parts/Ways';

export type Way = 'reading' | 'shots' | 'move' | 'ladder' | 'learned';

interface Props {
  way: Way;
  shots: number;
  onLook: (way: Way) => void;
  onNocks: () => void;
  onMark: () => void;
}

/** What can be looked at beside the sheet. */
export function SessionWays({ way, shots, onLook, onNocks, onMark }: Props) {
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
      <WayKey onClick={onNocks}>Nocks</WayKey>
      <WayKey onClick={onMark}>Mark a shot</WayKey>
    </Ways>
  );
}
