import { ButtonBase } from '@mui/material';

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
    <div className="ways" role="group" aria-label="What to look at">
      {(
        [
          ['reading', 'Reading'],
          ['shots', `Shots, ${shots}`],
          ['move', 'Log a move'],
          ['ladder', 'Ladder'],
          ['learned', 'Learned'],
        ] as const
      ).map(([name, label]) => (
        <ButtonBase key={name} className="way" aria-pressed={way === name} onClick={() => onLook(name)}>
          {label}
        </ButtonBase>
      ))}
      <ButtonBase className="way" onClick={onNocks}>
        Nocks
      </ButtonBase>
      <ButtonBase className="way" onClick={onMark}>
        Mark a shot
      </ButtonBase>
    </div>
  );
}
