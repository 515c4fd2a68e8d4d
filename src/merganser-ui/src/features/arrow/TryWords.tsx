import type { Schemas } from '../../api/client';
import { number, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';

/** What a change would do, in two lines on its key. */
export function TryWords({ effect }: { effect: Schemas['WhatIf'] }) {
  const units = useUnits();
  return (
    <>
      <span>{effect.label}</span>
      <span>
        <b>
          {number(effect.ratio, 2)} {effect.words}
        </b>
        <small>
          {withUnit(effect.grains, 'gr', 1, units)}, {withUnit(effect.frontOfCenter, '%', 1)}
        </small>
      </span>
    </>
  );
}
