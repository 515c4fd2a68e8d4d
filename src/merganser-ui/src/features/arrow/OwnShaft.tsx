import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../api/client';
import { useActs } from '../../api/useActs';
import { Key } from '../../parts/Buttons';
import { Field } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';

const blank = { name: '', spine: '', grainsPerInch: '', outerDiameter: '', material: '' };

/** A shaft that no catalogue has, by what is printed on it; what is not known is left empty and gets a band. */
export function OwnShaft({ onUse }: { onUse: (id: string) => void }) {
  const queries = useQueryClient();
  const acts = useActs('own shaft');
  const [typed, setTyped] = useState(blank);
  const put = (part: Partial<typeof blank>) => setTyped({ ...typed, ...part });
  const keep = async () => {
    const made = await acts.act(`own ${JSON.stringify(typed)}`, (id) =>
      answer(api.POST('/api/catalogue/own-shaft', { body: { id, ...typed } })),
    );
    if (!made) return;
    await queries.invalidateQueries({ queryKey: ['components'] });
    onUse(made.id);
  };
  return (
    <section aria-label="My own shaft" className={l.column}>
      <p className={w.muted}>Type what is printed on it. Leave empty what you don’t know: the figures get a band.</p>
      <div className={l.smallFields}>
        <Field
          label="Spine"
          name="ownSpine"
          value={typed.spine}
          onChange={(spine) => put({ spine })}
          fault={acts.faults.spine?.[0]}
          hint=".340 or 340"
          autoFocus
        />
        <Field
          label="Name"
          name="ownName"
          value={typed.name}
          onChange={(name) => put({ name })}
          fault={acts.faults.name?.[0]}
        />
        <Field
          label="Weight per length"
          name="ownMass"
          quantity="massPerLength"
          value={typed.grainsPerInch}
          onChange={(grainsPerInch) => put({ grainsPerInch })}
          fault={acts.faults.grainsPerInch?.[0]}
        />
        <Field
          label="Outer diameter"
          name="ownDiameter"
          quantity="length"
          value={typed.outerDiameter}
          onChange={(outerDiameter) => put({ outerDiameter })}
          fault={acts.faults.outerDiameter?.[0]}
        />
        <Field
          label="Material"
          name="ownMaterial"
          value={typed.material}
          onChange={(material) => put({ material })}
          fault={acts.faults.material?.[0]}
          hint="empty: carbon"
          onEnter={() => void keep()}
        />
        <Key disabled={acts.busy} onClick={() => void keep()}>
          Use this shaft
        </Key>
      </div>
      {acts.problem && Object.keys(acts.faults).length === 0 && <Fault>{acts.problem.message}</Fault>}
    </section>
  );
}
