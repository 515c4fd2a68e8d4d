import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, ifMatch } from '../../api/client';
import { archersQuery } from '../../api/queries';
import { useActs } from '../../api/useActs';
import { Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import w from '../../parts/words.module.css';
import { ForGood } from './ForGood';
import s from './Copies.module.css';

/** The people in the file: a name goes for good when its owner asks for it, the record stays. */
export function People() {
  const queries = useQueryClient();
  const acts = useActs('people');
  const archers = useQuery(archersQuery);
  const [asked, setAsked] = useState<string | null>(null);
  const erase = async (id: string, version: number) => {
    const done = await acts.act(`erase ${id}`, () =>
      answer(api.POST('/api/archers/{id}/erase-name', { params: { path: { id } }, ...ifMatch(version) })),
    );
    if (!done) return;
    setAsked(null);
    await queries.invalidateQueries();
  };
  const people = archers.data ?? [];
  if (people.length === 0) return null;
  return (
    <section aria-label="People" data-testid="people">
      <h2>People</h2>
      <p className={w.muted}>
        A name stands in one place only. When somebody asks for it, it is taken out of the file for good, and the record
        reads “archer” with a number. What was written in notes stays as it is.
      </p>
      <ul className={s.people}>
        {people.map(({ id, archer, version }) => (
          <li key={id}>
            <b>{archer.name}</b>
            {asked === id ? (
              <ForGood
                erase="Erase this name"
                busy={acts.busy}
                onErase={() => void erase(id, version)}
                onLeave={() => setAsked(null)}
              >
                It cannot be brought back from this file. Copies that were made before still have it: delete those as
                well.
              </ForGood>
            ) : (
              <Plain
                aria-label={`Erase the name: ${archer.name}`}
                onClick={() => {
                  acts.clear();
                  setAsked(id);
                }}
              >
                Erase the name
              </Plain>
            )}
          </li>
        ))}
      </ul>
      {acts.problem && <Fault>{acts.problem.message}</Fault>}
    </section>
  );
}
