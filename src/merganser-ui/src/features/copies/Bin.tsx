import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { Key, Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import { shortDay } from '../../units/days';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import { ForGood } from './ForGood';
import s from './Copies.module.css';

type Binned = Schemas['Binned'];

const KINDS: Record<Schemas['BinKind'], string> = {
  component: 'Part',
  arrow: 'Arrow that was never kept',
  picture: 'Photograph',
  note: 'Note',
};

/** What was thrown away: for thirty days it can be put back as it was. */
export function Bin() {
  const queries = useQueryClient();
  const acts = useActs('bin');
  const bin = useQuery({ queryKey: ['bin'], queryFn: () => answer(api.GET('/api/bin')) });
  const [asked, setAsked] = useState<string | null>(null);
  const things = bin.data?.things ?? [];
  const path = ({ kind, id }: Binned) => ({ params: { path: { kind, id } } });
  const done = async (doing: Promise<unknown>) => {
    if (!(await doing)) return;
    setAsked(null);
    await queries.invalidateQueries();
  };
  const putBack = (thing: Binned) =>
    done(acts.act(`put back ${thing.id}`, () => answer(api.POST('/api/bin/{kind}/{id}/put-back', path(thing)))));
  const erase = (thing: Binned) =>
    done(acts.act(`erase ${thing.id}`, () => answer(api.POST('/api/bin/{kind}/{id}/erase', path(thing)))));
  return (
    <section aria-label="Bin" data-testid="bin">
      <h2>Bin</h2>
      <p className={w.muted}>
        Parts, arrows that were never kept, photographs and notes lie here for {bin.data?.days ?? 30} days after they
        were thrown away. A note stays in the file as history, taken back.
      </p>
      {bin.data && things.length === 0 && <p>The bin is empty.</p>}
      <ul className={s.people}>
        {things.map((thing) => (
          <li key={`${thing.kind} ${thing.id}`}>
            <span>
              <b>{KINDS[thing.kind]}</b>
              {thing.name && `: ${thing.name}`}
              <span className={w.muted}>
                {thing.bow && ` of ${thing.bow}`}, since {shortDay(thing.binnedAt)}, until {shortDay(thing.goesAt)}
              </span>
            </span>
            {asked === thing.id ? (
              <ForGood
                erase="Erase it"
                busy={acts.busy}
                onErase={() => void erase(thing)}
                onLeave={() => setAsked(null)}
              >
                It cannot be brought back. Copies that were made before still have it.
              </ForGood>
            ) : (
              <span className={l.row}>
                <Key
                  disabled={acts.busy}
                  aria-label={`Put it back: ${thing.name || KINDS[thing.kind]}`}
                  onClick={() => void putBack(thing)}
                >
                  Put it back
                </Key>
                {thing.kind !== 'note' && (
                  <Plain
                    aria-label={`Erase it now: ${thing.name || KINDS[thing.kind]}`}
                    onClick={() => {
                      acts.clear();
                      setAsked(thing.id);
                    }}
                  >
                    Erase it now
                  </Plain>
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      {acts.problem && <Fault>{acts.problem.message}</Fault>}
    </section>
  );
}
