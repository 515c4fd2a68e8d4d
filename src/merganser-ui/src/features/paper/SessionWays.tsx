import { Key } from '../../parts/Buttons';
import { WayKey, Ways } from '../../parts/Ways';
import s from './SessionWays.module.css';

export type Way = 'reading' | 'shots' | 'move' | 'ladder' | 'learned';

interface Props {
  way: Way;
  shots: number;
  onLook: (way: Way) => void;
  /** At the paper. */
  onNocks?: () => void;
  /** At a target. */
  onSizes?: () => void;
  onRange?: () => void;
  onMark: () => void;
  onPapers: () => void;
}

/** What can be looked at beside the sheet, and apart from that what can be done. */
export function SessionWays({ way, shots, onLook, onNocks, onSizes, onRange, onMark, onPapers }: Props) {
  return (
    <div className={s.head}>
      <Ways beside label="What to look at">
        {(
          [
            ['reading', 'Reading'],
            ['shots', `Shots, ${shots}`],
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
        {onRange && <WayKey onClick={onRange}>Range</WayKey>}
        <WayKey onClick={onPapers}>Earlier</WayKey>
      </Ways>
      <div className={s.acts}>
        <Key onClick={onMark}>Mark a shot</Key>
        <Key aria-pressed={way === 'move'} onClick={() => onLook(way === 'move' ? 'reading' : 'move')}>
          Log a move
        </Key>
      </div>
    </div>
  );
}
