import { Select } from '../../parts/Field';
import { Key, Plain } from '../../parts/Buttons';
import { level, type Choices, type End, type Words } from './paperTypes';
import l from '../../parts/layout.module.css';
import s from './SayIt.module.css';

/** The tear in the shooter's own words, by either end of the arrow: "about an inch left, point low". */
export function SayIt({
  words,
  sizes,
  onChange,
}: {
  words: Words | null;
  sizes: Choices['sizes'];
  onChange: (words: Words | null) => void;
}) {
  const said = words ?? level;
  const options = [
    { value: '', label: 'level' },
    ...sizes.map((s) => ({ value: s.code as string, label: s.words as string })),
  ];
  const change = (part: Partial<Words>) => onChange({ ...said, ...part });
  return (
    <div className={s.words} data-testid="say-it" role="group" aria-label="In words">
      <Side
        label="To the side"
        name="sideways"
        size={said.sideways}
        end={said.sidewaysEnd}
        less={said.left}
        names={['left', 'right']}
        options={options}
        onSize={(sideways) => change({ sideways })}
        onEnd={(sidewaysEnd) => change({ sidewaysEnd })}
        onLess={(left) => change({ left })}
      />
      <Side
        label="In height"
        name="height"
        size={said.height}
        end={said.heightEnd}
        less={said.low}
        names={['low', 'high']}
        options={options}
        onSize={(height) => change({ height })}
        onEnd={(heightEnd) => change({ heightEnd })}
        onLess={(low) => change({ low })}
      />
      <div className={l.row}>
        <Key aria-pressed={words !== null && !words.sideways && !words.height} onClick={() => onChange(level)}>
          One clean hole
        </Key>
        {words && <Plain onClick={() => onChange(null)}>Mark the holes instead</Plain>}
      </div>
    </div>
  );
}

function Side({
  label,
  name,
  size,
  end,
  less,
  names,
  options,
  onSize,
  onEnd,
  onLess,
}: {
  label: string;
  name: string;
  size: string | null;
  end: End;
  less: boolean;
  names: [string, string];
  options: { value: string; label: string }[];
  onSize: (size: string | null) => void;
  onEnd: (end: End) => void;
  onLess: (less: boolean) => void;
}) {
  return (
    <div className={s.side}>
      <Select label={label} name={name} value={size ?? ''} onChange={(v) => onSize(v || null)} choices={options} />
      <div className={l.row} role="group" aria-label={`${label}: which end, which way`}>
        {(['tail', 'point'] as const).map((which) =>
          [true, false].map((isLess) => (
            <Key
              key={`${which}${isLess}`}
              disabled={!size}
              aria-pressed={size !== null && end === which && less === isLess}
              onClick={() => {
                if (end !== which) onEnd(which);
                if (less !== isLess) onLess(isLess);
              }}
            >
              {which} {names[isLess ? 0 : 1]}
            </Key>
          )),
        )}
      </div>
    </div>
  );
}
