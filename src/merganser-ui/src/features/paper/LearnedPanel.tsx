import { useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../../api/client';
import { useActs } from '../../api/useActs';
import { bounded } from '../../drawing/chart';
import { number, signed, percent } from '../../units/units';
import { useFigures } from '../../units/UnitsContext';
import { Key, Plain } from '../../parts/Buttons';
import { Bullets } from '../../parts/List';
import { Fault, Note } from '../../parts/Note';
import { Scroller, Table } from '../../parts/Table';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './LearnedPanel.module.css';

type Response = Schemas['ResponseView'];

/** What this bow's adjusters were seen to do: before and after, with what its other stages taught; can be forgotten. */
export function LearnedPanel({ bowId, onForgot }: { bowId: string; onForgot: () => void }) {
  const { figure } = useFigures();
  const queries = useQueryClient();
  const acts = useActs(`response ${bowId}`);
  const response = useQuery({
    queryKey: ['response', bowId],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/response', { params: { path: { bowId } } })),
  });
  const after = (view: Response | null) => {
    if (!view) return;
    queries.setQueryData(['response', bowId], view);
    onForgot();
  };
  const forget = async (kinds: Schemas['AdjusterKind'][], reason: string) =>
    after(
      await acts.act(`forget ${kinds.join()} ${reason}`, (id) =>
        answer(
          api.POST('/api/bows/{bowId}/response/resets', {
            params: { path: { bowId } },
            body: { id, kinds, reason },
          }),
        ),
      ),
    );
  const borrow = async (borrows: boolean) =>
    after(
      await acts.act(`borrow ${borrows}`, () =>
        answer(api.POST('/api/bows/{bowId}/response/borrowing', { params: { path: { bowId } }, body: { borrows } })),
      ),
    );
  const takeBack = async (id: string) =>
    after(
      await acts.act(`take back ${id}`, () =>
        answer(api.DELETE('/api/bows/{bowId}/response/resets/{id}', { params: { path: { bowId, id } } })),
      ),
    );
  const view = response.data;
  if (!view)
    return (
      <Pane>
        <h1>{response.isError ? 'The learned response could not be read.' : 'Reading what was learned …'}</h1>
      </Pane>
    );
  return (
    <Pane label="Learned response" testId="learned">
      <h1>What this bow has taught</h1>
      <p>
        {view.stage
          ? `${view.stage}, ${view.arrowName}: ${view.shots} ${view.atTarget ? 'pairs' : 'shots'}, spread ${figure(view.spread, 'in', 2)} (${view.ownSpread ? 'this archer’s usual' : 'usual about'} ${figure(view.usualSpread, 'in', 2)}).`
          : 'No paper yet: these are the trade’s guesses.'}
      </p>
      {view.atTarget && (
        <p className={w.muted}>
          At a target: inches by which a step moves bare against fletched, or heads against field points, + to the left,
          or down.
        </p>
      )}
      {acts.problem && <Fault>{acts.problem.message}</Fault>}
      {view.proposals.map((proposal) => (
        <Note
          key={proposal.change}
          act={
            <Key disabled={acts.busy} onClick={() => void forget(proposal.kinds, proposal.change)}>
              Forget it
            </Key>
          }
        >
          {proposal.words}
        </Note>
      ))}
      <Rows view={view} />
      <Others title="Its other stages, a weaker word" others={view.others.filter((o) => o.bowName === null)} />
      <Others
        title="Borrowed from bows of the same make, weaker still"
        others={view.others.filter((o) => o.bowName !== null)}
      />
      {view.borrows !== null && (
        <div className={l.row}>
          <Key disabled={acts.busy} onClick={() => void borrow(!view.borrows)}>
            {view.borrows ? 'Set aside what other bows of its make taught' : 'Borrow from bows of the same make again'}
          </Key>
        </div>
      )}
      <div className={l.row}>
        <Key disabled={acts.busy || view.shots === 0} onClick={() => void forget([], 'asked for by hand')}>
          Forget everything learned so far
        </Key>
      </div>
      {view.resets.map((reset) => (
        <p key={reset.id} className={w.muted}>
          Forgotten on {new Date(reset.resetAt).toLocaleDateString('en-GB')}: {reset.words} ({reset.reason}). The shots
          stay on record.
          <Plain disabled={acts.busy} onClick={() => void takeBack(reset.id)}>
            Take it back
          </Plain>
        </p>
      ))}
    </Pane>
  );
}

/** What other stages taught, each in a line. */
function Others({ title, others }: { title: string; others: Response['others'] }) {
  const { figure, change } = useFigures();
  if (others.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <Bullets>
        {others.map((other, i) => (
          <li key={`${other.words}${i}`}>
            <b>
              {other.bowName && `${other.bowName}: `}
              {other.words}, {other.arrowName}
            </b>
            , {other.shots} {other.atTarget ? 'pairs' : 'shots'}, spread {figure(other.spread, 'in', 2)}.{' '}
            {other.taught.length === 0
              ? 'Nothing was moved there.'
              : other.taught
                  .map((t) => `${t.name} ${change(t.gain, 'in', 3)} ± ${figure(t.sd, 'in', 3)} a step`)
                  .join('; ')}
          </li>
        ))}
      </Bullets>
    </>
  );
}

function Rows({ view }: { view: Response }) {
  const { figure, change } = useFigures();
  return (
    <Scroller label="What each adjuster does">
      <Table kind="card" className={s.learned}>
        <thead>
          <tr>
            <th scope="col">Adjuster</th>
            <th scope="col">A step now</th>
            <th scope="col">
              <span className="visually-hidden">Drawn: </span>guess, before, now
            </th>
            <th scope="col">From</th>
          </tr>
        </thead>
        <tbody>
          {view.rows.map((row) => (
            <tr key={row.kind}>
              <th scope="row">
                {row.name}
                <br />
                <small className={w.muted}>
                  {row.stepUnit}; +: {row.plusWords.toLowerCase()}
                </small>
              </th>
              <td>
                {row.open ? figure(row.now.gain, 'in', 3) : change(row.now.gain, 'in', 3)} ±{' '}
                {figure(row.now.sd, 'in', 3)}
                {row.open && (
                  <>
                    <br />
                    <small>either way</small>
                  </>
                )}
              </td>
              <td>
                <GainBars row={row} />
              </td>
              <td>
                {row.words}
                {row.open && `; to the right with ${percent(row.plusChance)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroller>
  );
}

/** Hollow: the trade's guess; dashed: before this stage; solid: now. Bars are 95 %. */
function GainBars({ row }: { row: Schemas['ResponseRow'] }) {
  const WIDTH = 190;
  const reach = Math.max(
    row.nominal * 2.2,
    Math.abs(row.now.gain) + 2 * row.now.sd,
    row.before.gain + 2 * row.before.sd,
  );
  const low = row.now.gain < 0 ? -reach : 0;
  const x = bounded(low, reach, 8, WIDTH - 8);
  const bar = (y: number, gain: number, sd: number, colour: string, dash?: string) => (
    <path
      d={`M${x(gain - 2 * sd)} ${y}H${x(gain + 2 * sd)}M${x(gain - 2 * sd)} ${y - 4}v8M${x(gain + 2 * sd)} ${y - 4}v8`}
      stroke={colour}
      strokeWidth="2"
      strokeDasharray={dash}
      fill="none"
    />
  );
  return (
    <svg
      width={WIDTH}
      height="40"
      viewBox={`0 0 ${WIDTH} 40`}
      role="img"
      aria-label={`guess ${number(row.nominal, 3)}, before ${number(row.before.gain, 3)} ± ${number(row.before.sd, 3)}, now ${signed(row.now.gain, 3)} ± ${number(row.now.sd, 3)}`}
    >
      <path d={`M${x(0)} 2v36`} stroke="var(--line)" />
      <path d={`M${x(row.nominal)} 8l-5 -7h10z`} fill="none" stroke="var(--ink2)" strokeWidth="1.5" />
      {bar(16, row.before.gain, row.before.sd, 'var(--pred)', '4 3')}
      {bar(30, row.now.gain, row.now.sd, 'var(--ink)')}
      <circle cx={x(row.before.gain)} cy="16" r="4" fill="var(--bench)" stroke="var(--pred)" strokeWidth="2" />
      <circle cx={x(row.now.gain)} cy="30" r="4.5" fill="var(--bill)" />
    </svg>
  );
}
