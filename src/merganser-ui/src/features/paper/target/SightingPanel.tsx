import { percent } from '../../../units/units';
import { Bullets } from '../../../parts/List';
import type { Paper, ShotSet } from '../paperTypes';
import w from '../../../parts/words.module.css';

/** Which pins are set, in the order in which they are: how likely each is within its tolerance. */
export function SightingPanel({ paper, set }: { paper: Paper; set: ShotSet }) {
  const pins = paper.plan.stages.filter((stage) => stage.sighting);
  return (
    <section data-testid="pins">
      <p className={w.muted}>Good enough here: the middle within {set.sighting!.toleranceText} of the aiming point.</p>
      {pins.length > 1 && (
        <>
          <h2>Pins, in the order in which they are set</h2>
          <Bullets>
            {pins.map((pin) => (
              <li key={pin.words}>
                {pin.inWork ? <b>{pin.words}</b> : pin.words}:{' '}
                {pin.chance === null ? 'not yet' : `${percent(pin.chance)} within it`}
                {pin.reading && <small className={w.muted}> {pin.reading}</small>}
              </li>
            ))}
          </Bullets>
        </>
      )}
    </section>
  );
}
