import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { Key } from '../../parts/Buttons';
import { Field } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';

type JointView = Schemas['JointView'];

/** What the makers' sheets say of the glues, joint by joint; typed once for the whole bench. */
export function GlueSheets({ dozenId, joints }: { dozenId: string; joints: JointView[] }) {
  return (
    <>
      <h2>Glue and cure</h2>
      <p className={w.muted}>From the glue’s own sheet, once for the bench; it stands on the printed sheets.</p>
      {joints.map((joint) => (
        <GlueForm key={`${joint.joint} ${JSON.stringify(joint.sheet)}`} dozenId={dozenId} joint={joint} />
      ))}
      {joints.length === 0 && <p>Nothing of this arrow is glued.</p>}
    </>
  );
}

const asText = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value));

function GlueForm({ dozenId, joint }: { dozenId: string; joint: JointView }) {
  const queries = useQueryClient();
  const acts = useActs(`glue ${joint.joint}`);
  const kept = {
    glue: joint.sheet?.glue ?? '',
    handling: asText(joint.sheet?.handlingMinutes),
    cure: asText(joint.sheet?.cureHours),
    note: joint.sheet?.note ?? '',
  };
  const [typed, setTyped] = useState(kept);
  const changed = JSON.stringify(typed) !== JSON.stringify(kept);
  const put = (part: Partial<typeof kept>) => setTyped({ ...typed, ...part });
  const keep = async () => {
    const done = await acts.act(`keep ${joint.joint} ${JSON.stringify(typed)}`, (id) =>
      answer(
        api.POST('/api/dozens/{id}/workshop/glue/{joint}', {
          params: { path: { id: dozenId, joint: joint.joint } },
          body: { id, ...typed },
        }),
      ),
    );
    if (done) await queries.invalidateQueries({ queryKey: ['dozens', dozenId, 'workshop'] });
  };
  return (
    <fieldset className={l.column} data-joint={joint.joint}>
      <legend>{joint.words}</legend>
      <div className={l.smallFields}>
        <Field
          label="Glue"
          name="glue"
          value={typed.glue}
          onChange={(glue) => put({ glue })}
          fault={acts.faults.glue?.[0]}
        />
        <Field
          label="Handle after, min"
          name="handling"
          value={typed.handling}
          onChange={(handling) => put({ handling })}
          fault={acts.faults.handling?.[0]}
        />
        <Field
          label="Shoot after, h"
          name="cure"
          value={typed.cure}
          onChange={(cure) => put({ cure })}
          fault={acts.faults.cure?.[0]}
        />
        <Field
          label="Note"
          name="note"
          value={typed.note}
          onChange={(note) => put({ note })}
          fault={acts.faults.note?.[0]}
        />
        <Key disabled={!changed || acts.busy} onClick={() => void keep()} aria-label={`Keep it: ${joint.words}`}>
          Keep it
        </Key>
        {joint.sheet && !changed && !acts.busy && <span className={w.taken}>kept</span>}
      </div>
      {acts.problem && Object.keys(acts.faults).length === 0 && <Fault>{acts.problem.message}</Fault>}
    </fieldset>
  );
}
