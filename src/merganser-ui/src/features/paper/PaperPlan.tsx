import { ButtonBase } from '@mui/material';
import type { Schemas } from '../../api/client';
import { Field, Select } from '../../bench/Field';

export interface Plan {
  arrowId: string;
  distance: string;
  fletched: boolean;
  tolerance: number;
}

interface Props {
  plan: Plan;
  arrows: Schemas['ArrowRow'][];
  faults: Record<string, string[]>;
  onChange: (plan: Plan) => void;
}

/** What is shot, from where, and when it is good enough. */
export function PaperPlan({ plan, arrows, faults, onChange }: Props) {
  const kept = arrows.filter((a) => a.kept);
  return (
    <section className="reading plan" aria-label="A new paper">
      <h1>A new paper</h1>
      <p>
        Paper taut, arrow level through it, the target a yard or more behind, so that the whole arrow has left the paper
        before the point stops. Nobody in front of the line.
      </p>
      <Select
        label="Arrow"
        name="arrow"
        value={plan.arrowId}
        onChange={(arrowId) => onChange({ ...plan, arrowId })}
        choices={kept.map((a) => ({ value: a.kept!.id, label: `${a.kept!.typed.name}, version ${a.kept!.number}` }))}
      />
      <Field
        label="Distance to the paper"
        name="distance"
        quantity="distance"
        value={plan.distance}
        onChange={(distance) => onChange({ ...plan, distance })}
        fault={faults.distance?.[0]}
        hint="3 yd is close and easy; 6 yd shows more"
      />
      <div className="row" role="group" aria-label="Bare or fletched">
        <ButtonBase
          className="key"
          aria-pressed={!plan.fletched}
          onClick={() => onChange({ ...plan, fletched: false })}
        >
          Bare shafts
        </ButtonBase>
        <ButtonBase className="key" aria-pressed={plan.fletched} onClick={() => onChange({ ...plan, fletched: true })}>
          Fletched
        </ButtonBase>
      </div>
      <h2>Good enough</h2>
      <div className="row" role="group" aria-label="Good enough">
        <ButtonBase
          className="key"
          aria-pressed={plan.tolerance === 0.25}
          onClick={() => onChange({ ...plan, tolerance: 0.25 })}
        >
          1/4 in, usual
        </ButtonBase>
        <ButtonBase
          className="key"
          aria-pressed={plan.tolerance === 0.125}
          onClick={() => onChange({ ...plan, tolerance: 0.125 })}
        >
          1/8 in, strict
        </ButtonBase>
      </div>
    </section>
  );
}
