import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { archersQuery } from '../../api/queries';
import { Key, Plain } from '../../parts/Buttons';
import { Field, Select } from '../../parts/Field';
import { Fault } from '../../parts/Note';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import type { BowVisits, VisitWork } from './useVisits';
import s from './Visit.module.css';

/** A bow goes to its next owner as it is: its record goes with it. */
export function OwnerPane({ view, work, onDone }: { view: BowVisits; work: VisitWork; onDone: () => void }) {
  const archers = useQuery(archersQuery);
  const [to, setTo] = useState('');
  const [name, setName] = useState('');
  const others = (archers.data ?? []).filter(({ id }) => id !== view.ownerId);
  const isNew = to === 'new';
  const hand = () => void work.toOwner(isNew ? null : to, name).then((ok) => ok && onDone());
  return (
    <form
      className={s.form}
      aria-label="The next owner"
      onSubmit={(event) => {
        event.preventDefault();
        hand();
      }}
    >
      <h1>To the next owner</h1>
      <p className={w.muted}>
        It is {view.owner}’s now. It goes as it stands, with its whole record; draw length and weight are measured anew
        for whoever draws it.
      </p>
      <Select
        label="Whose it is from now on"
        name="owner"
        value={to}
        onChange={(next) => {
          work.clear();
          setTo(next);
        }}
        choices={[
          { value: '', label: 'choose' },
          ...others.map(({ id, archer }) => ({ value: id, label: archer.name })),
          { value: 'new', label: 'somebody new' },
        ]}
        fault={work.faults.archerId?.[0]}
      />
      {isNew && (
        <Field
          label="Name"
          name="name"
          value={name}
          onChange={setName}
          fault={work.faults.name?.[0]}
          onEnter={hand}
          autoFocus
        />
      )}
      {work.problem && !work.faults.archerId && !work.faults.name && <Fault>{work.problem.message}</Fault>}
      <div className={l.row}>
        <Key strong type="submit" disabled={work.busy || to === ''}>
          Hand the bow on
        </Key>
        <Plain onClick={onDone}>Leave it</Plain>
      </div>
    </form>
  );
}
