import { ChoiceRow } from '../../parts/ChoiceRow';
import { Field, Select } from '../../parts/Field';
import { useFigures } from '../../units/UnitsContext';
import { rangeErrors, wayKinds, waysOf, type TypedStage } from './planKinds';
import { classes } from '../../parts/classes';
import l from '../../parts/layout.module.css';
import s from './PaperPlan.module.css';

interface Props {
  stage: TypedStage;
  faults: Record<string, string[]>;
  onChange: (stage: TypedStage) => void;
}

/** What else a stage wants to know before it begins: which two ways, or how wrong the sight is set. */
export function StageAsks({ stage, faults, onChange }: Props) {
  const { figure } = useFigures();
  const { ways } = stage;
  if (ways)
    return (
      <>
        <Select
          label="What differs"
          name="wayKind"
          value={ways.kind}
          onChange={(kind) => onChange({ ...stage, ways: waysOf(kind as typeof ways.kind) })}
          choices={wayKinds.map(([value, label]) => ({ value, label }))}
        />
        <div className={classes(l.pair, s.pair)}>
          <Field
            label="The one way"
            name="first"
            value={ways.first}
            onChange={(first) => onChange({ ...stage, ways: { ...ways, first } })}
            fault={faults.first?.[0]}
          />
          <Field
            label="The other"
            name="second"
            value={ways.second}
            onChange={(second) => onChange({ ...stage, ways: { ...ways, second } })}
            fault={faults.second?.[0]}
          />
        </div>
      </>
    );
  if (stage.rangeError !== null)
    return (
      <>
        <h2>How wrong the sight is set</h2>
        <ChoiceRow
          label="How wrong the sight is set"
          value={stage.rangeError}
          choices={rangeErrors.map((yards) => [yards, figure(yards, 'yd', 0)] as const)}
          onChange={(rangeError) => onChange({ ...stage, rangeError })}
        />
      </>
    );
  return null;
}
