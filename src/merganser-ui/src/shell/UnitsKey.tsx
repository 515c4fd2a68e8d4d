import { ButtonBase } from '@mui/material';
import { Bubble } from '../parts/Popover';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, ifMatch } from '../api/client';
import { metricUnits, tradeUnits, type Units } from '../units/units';
import { useUnits } from '../units/UnitsContext';
import { useBow } from '../api/queries';

type Choices<K extends keyof Units> = readonly (readonly [Units[K], string])[];

const length: Choices<'length'> = [
  ['inches', 'in'],
  ['centimetres', 'cm'],
  ['millimetres', 'mm'],
];
const mass: Choices<'mass'> = [
  ['grains', 'gr'],
  ['grams', 'g'],
];
const force: Choices<'force'> = [
  ['pounds', 'lb'],
  ['newtons', 'N'],
  ['kilograms', 'kg'],
];
const speed: Choices<'speed'> = [
  ['feetPerSecond', 'ft/s'],
  ['metresPerSecond', 'm/s'],
];
const energy: Choices<'energy'> = [
  ['footPounds', 'ft·lb'],
  ['joules', 'J'],
];
const distance: Choices<'distance'> = [
  ['yards', 'yd'],
  ['metres', 'm'],
];
const rows = [
  ['length', 'Lengths', length],
  ['mass', 'Arrow weights', mass],
  ['force', 'Draw weight', force],
  ['speed', 'Speed', speed],
  ['energy', 'Energy', energy],
  ['distance', 'Distances', distance],
] as const;

/** The units that the archer of this bow reads and types in. */
export function UnitsKey({ bowId }: { bowId: string }) {
  const units = useUnits();
  const bow = useBow(bowId);
  const queries = useQueryClient();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const word = `${mass.find((m) => m[0] === units.mass)![1]} ${length.find((l) => l[0] === units.length)![1]}`;

  const wear = async (next: Units) => {
    try {
      const archers = await answer(api.GET('/api/archers'));
      const row = archers.find((a) => a.id === bow.data?.archerId);
      if (!row) return;
      const body = { ...row.archer, id: row.id, units: next };
      await answer(api.PUT('/api/archers/{id}', { params: { path: { id: row.id } }, body, ...ifMatch(row.version) }));
      setTrouble(null);
      // Every sentence of the server is said anew, in these units.
      await queries.invalidateQueries();
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };

  return (
    <>
      <ButtonBase aria-label={`Units: ${word}. Change them`} onClick={(event) => setAnchor(event.currentTarget)}>
        {word}
      </ButtonBase>
      <Bubble anchor={anchor} onClose={() => setAnchor(null)} label="Units" at="belowRight" className="units">
        <h2>Units of this archer</h2>
        <div className="row">
          <ButtonBase className="key" onClick={() => void wear(tradeUnits)}>
            All as the trade
          </ButtonBase>
          <ButtonBase className="key" onClick={() => void wear(metricUnits)}>
            All metric
          </ButtonBase>
        </div>
        {rows.map(([part, label, choices]) => (
          <div key={part} className="row" role="group" aria-label={label}>
            <span className="lab">{label}</span>
            {choices.map(([value, text]) => (
              <ButtonBase
                key={value}
                className="key"
                aria-pressed={units[part] === value}
                onClick={() => void wear({ ...units, [part]: value })}
              >
                {text}
              </ButtonBase>
            ))}
          </div>
        ))}
        <p className="muted">
          A display choice: all is computed and kept in grains, inches and pounds. Spine numbers stay as they are.
        </p>
        {trouble && <p className="fault">{trouble}</p>}
      </Bubble>
    </>
  );
}
