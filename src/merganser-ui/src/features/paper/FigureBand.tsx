import type { Schemas } from '../../api/client';
import { FigureNote } from '../../parts/Figure';
import { useFigures } from '../../units/UnitsContext';

const EVEN = 0.02;

/** The band of a figure beneath it: one half width where it is as wide both ways, else from where to where. */
export function FigureBand({ figure }: { figure: Schemas['Figure'] }) {
  const write = useFigures().figure;
  const { low, high, value, unit, decimals, word } = figure;
  if (high === null || value === null) return word && <FigureNote>{word}</FigureNote>;
  const even = low === null || low === 0 || Math.abs(high + low - 2 * value) < EVEN * value;
  return (
    <FigureNote>
      {even
        ? `± ${write(high - value, unit, decimals)}`
        : `${write(low, unit, decimals)} to ${write(high, unit, decimals)}`}
      {word ? `, ${word}` : ''}
    </FigureNote>
  );
}
