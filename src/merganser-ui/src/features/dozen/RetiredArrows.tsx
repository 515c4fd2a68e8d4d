import { Note } from '../../parts/Note';
import { dayOf } from '../../units/days';
import type { Dozen } from './useDozen';

/** Arrows that are out of use, each with its reason and its day: they print nowhere and are never shot. */
export function RetiredArrows({ dozen }: { dozen: Pick<Dozen, 'tray'> }) {
  const retired = dozen.tray.filter((arrow) => arrow.retired);
  if (retired.length === 0) return null;
  return (
    <section aria-label="Retired" data-testid="retired">
      <h3>Retired</h3>
      {retired.map((arrow) => (
        <Note key={arrow.number} word={`Arrow ${arrow.number} is out of use.`}>
          {arrow.retiredSince && `Since ${dayOf(arrow.retiredSince)}: `}
          {arrow.retiredWhy}
        </Note>
      ))}
    </section>
  );
}
