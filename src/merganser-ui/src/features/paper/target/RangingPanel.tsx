import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../../api/client';
import { useActs } from '../../../api/useActs';
import { Key, Plain } from '../../../parts/Buttons';
import { Field } from '../../../parts/Field';
import { Figure } from '../../../parts/Figure';
import { Bullets } from '../../../parts/List';
import { Fault } from '../../../parts/Note';
import { FigureBand } from '../FigureBand';
import w from '../../../parts/words.module.css';
import l from '../../../parts/layout.module.css';
import r from '../ReadingPanel.module.css';

type Ranging = Schemas['RangingView'];

interface Props {
  archerId: string;
  trial: Schemas['RangeTrialView'];
}

/** The archer's own ranging error: guess, measure, and what the guesses tell beside what the arrow affords. */
export function RangingPanel({ archerId, trial }: Props) {
  const queries = useQueryClient();
  const acts = useActs(`guesses ${archerId}`);
  const [guessed, setGuessed] = useState('');
  const [measured, setMeasured] = useState('');
  const query = { yards: trial.yards, within: trial.affords ?? undefined };
  const queryKey = ['guesses', archerId, query.yards, query.within];
  const ranging = useQuery({
    queryKey,
    queryFn: () => answer(api.GET('/api/archers/{id}/range-guesses', { params: { path: { id: archerId }, query } })),
  }).data;
  const done = (after: Ranging | null) => {
    if (after) queries.setQueryData<Ranging>(queryKey, after);
    return after !== null;
  };
  const keep = async () => {
    const kept = await acts.act(`guess ${ranging?.guesses[0]?.id} ${guessed} ${measured}`, (id) =>
      answer(
        api.POST('/api/archers/{id}/range-guesses', {
          params: { path: { id: archerId }, query },
          body: { id, guessed, measured },
        }),
      ),
    );
    if (!done(kept)) return;
    setGuessed('');
    setMeasured('');
    document.querySelector<HTMLInputElement>('input[name=guessed]')?.focus();
  };
  const takeBack = async (guessId: string) =>
    done(
      await acts.act(`guess back ${guessId}`, () =>
        answer(
          api.DELETE('/api/archers/{id}/range-guesses/{guessId}', {
            params: { path: { id: archerId, guessId }, query },
          }),
        ),
      ),
    );
  return (
    <section data-testid="ranging">
      <h2>Your own range error: guess, then measure</h2>
      {ranging && <p>{ranging.affords ?? ranging.words}</p>}
      {ranging && ranging.figures.length > 0 && (
        <div className={r.figures} data-testid="ranging-figures">
          {ranging.figures.map((figure) => (
            <Figure key={figure.name} figure={figure} size="small">
              <FigureBand figure={figure} />
            </Figure>
          ))}
        </div>
      )}
      <div className={l.pair}>
        <Field
          label="Guessed"
          name="guessed"
          quantity="distance"
          value={guessed}
          onChange={setGuessed}
          fault={acts.faults.guessed?.[0]}
        />
        <Field
          label="Then measured"
          name="measured"
          quantity="distance"
          value={measured}
          onChange={setMeasured}
          fault={acts.faults.measured?.[0]}
          onEnter={() => void keep()}
        />
      </div>
      <Key disabled={acts.busy || (guessed.trim() === '' && measured.trim() === '')} onClick={() => void keep()}>
        Keep this guess
      </Key>
      {acts.problem && !acts.faults.guessed && !acts.faults.measured && <Fault>{acts.problem.message}</Fault>}
      {ranging && ranging.byDistance.length > 0 && (
        <Bullets>
          {ranging.byDistance.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </Bullets>
      )}
      {ranging && ranging.guesses.length > 0 && (
        <>
          <h2>The last ones</h2>
          <Bullets>
            {ranging.guesses.map((guess) => (
              <li key={guess.id}>
                <span className={w.tabular}>{guess.words}</span>{' '}
                <Plain onClick={() => void takeBack(guess.id)} aria-label={`Take back: ${guess.words}`}>
                  Take back
                </Plain>
              </li>
            ))}
          </Bullets>
        </>
      )}
    </section>
  );
}
