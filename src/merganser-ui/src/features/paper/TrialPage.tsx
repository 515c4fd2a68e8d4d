import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { useBow } from '../../api/queries';
import { useActs } from '../../api/useActs';
import { Drawn } from '../../parts/Drawn';
import { Empty } from '../../parts/Empty';
import { Field } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { Fault } from '../../parts/Note';
import { Main } from '../../parts/Page';
import { Tick } from '../../parts/Tick';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { UnsoundFoot } from '../../shell/UnsoundFoot';
import { useFaultFocus } from '../../shell/focus';
import { TrialPicture } from './TrialPicture';
import w from '../../parts/words.module.css';
import s from './TrialPage.module.css';

type Choice = Schemas['TrialChoice'];
type Shaft = Schemas['TrialShaftView'];
type Point = Schemas['TrialPointView'];

const same = (a: Choice, b: Choice) => a.arrowId === b.arrowId && a.pointId === b.pointId && a.broken === b.broken;
const choiceOf = (shaft: Shaft, point: Point): Choice => ({
  arrowId: shaft.arrowId,
  pointId: point.pointId,
  broken: point.broken,
});

/** Point weights over several shafts: what figures say, what papers found, and a plan to shoot. */
export function TrialPage({ bowId, onBegun }: { bowId: string; onBegun: () => void }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const bow = useBow(bowId);
  const [search, setSearch] = useSearchParams();
  const arrows = search.get('with');
  const acts = useActs(`trial ${bowId}`);
  const [turned, setTurned] = useState<Choice[] | null>(null);
  const [distance, setDistance] = useState('3');
  useFaultFocus(acts.problem);
  const trial = useQuery({
    queryKey: ['trial', bowId, arrows],
    queryFn: () =>
      answer(
        api.GET('/api/bows/{id}/trial', { params: { path: { id: bowId }, query: arrows ? { with: arrows } : {} } }),
      ),
    placeholderData: keepPreviousData,
  });
  const view = trial.data;
  const suggested =
    view?.shafts.flatMap((shaft) => shaft.points.filter((p) => p.suggested).map((p) => choiceOf(shaft, p))) ?? [];
  const points = (turned ?? suggested).filter((c) => view?.shafts.some((shaft) => shaft.arrowId === c.arrowId));
  const plan = useQuery({
    queryKey: ['trial', bowId, 'plan', points],
    queryFn: () => answer(api.POST('/api/bows/{id}/trial/plan', { params: { path: { id: bowId } }, body: { points } })),
    enabled: points.length > 0,
    placeholderData: keepPreviousData,
  });
  const isChosen = (shaft: Shaft, point: Point) => points.some((c) => same(c, choiceOf(shaft, point)));
  const turn = (shaft: Shaft, point: Point) => {
    const choice = choiceOf(shaft, point);
    setTurned(isChosen(shaft, point) ? points.filter((c) => !same(c, choice)) : [...points, choice]);
  };
  const back = () => void navigate(`/bows/${bowId}/paper`);
  const begin = async () => {
    const body = { points, distance };
    const begun = await acts.act(`begin ${JSON.stringify(body)}`, (id) =>
      answer(api.POST('/api/bows/{id}/trial', { params: { path: { id: bowId } }, body: { id, ...body } })),
    );
    if (!begun) return;
    await Promise.all(
      ['arrows', 'papers', 'paper', 'bow'].map((key) => queries.invalidateQueries({ queryKey: [key] })),
    );
    onBegun();
  };
  if (!view)
    return (
      <>
        <Main kind="inset">
          <Drawn of="arrow" waits />
        </Main>
        <OpeningFoot
          opening="Weighing the points …"
          what="The points"
          failed={[trial.error]}
          back={{ to: 'Back to the paper', go: back }}
        />
      </>
    );
  if (view.noArrows)
    return (
      <>
        <Main kind="inset">
          <Empty of="arrow" title="No arrow is kept yet">
            {view.noArrows}
          </Empty>
        </Main>
        <Foot
          sentence="Build an arrow and keep it."
          reason={view.noArrows}
          button="To the arrow"
          onGo={() => void navigate(`/bows/${bowId}/arrow`)}
          alternative="Back to the paper"
          onAlternative={back}
        />
      </>
    );
  const steps = points.length > 0 ? (plan.data?.steps ?? []) : [];
  return (
    <>
      <Main kind="inset" className={s.page}>
        <section aria-label="Points over shafts" className={s.wide}>
          <h1 data-testid="widest">{view.widest ?? 'Which points does a shaft take?'}</h1>
          <p className={w.muted}>{view.widest ? view.why : 'Two shafts can be compared: choose another arrow.'}</p>
          <TrialPicture view={view} chosen={isChosen} onTurn={turn} />
          {view.shafts.map((shaft) => (
            <Fold key={shaft.arrowId} words={`Points for ${shaft.name}`} open={shaft.points.length < 9}>
              <div className={s.points}>
                {shaft.points.map((point) => (
                  <Tick
                    key={`${point.pointId}-${point.broken}`}
                    checked={isChosen(shaft, point)}
                    onChange={() => turn(shaft, point)}
                    step={`${shaft.name} ${point.name} ${point.broken}`}
                  >
                    <span>
                      <b>{point.text}</b> {point.name}
                      {point.broken > 0 && `, ${point.broken} off`}
                      {!point.owned && ', to buy'}
                      {!point.fits && ', outside'}
                    </span>
                  </Tick>
                ))}
              </div>
            </Fold>
          ))}
        </section>
        <section aria-label="The plan" className={s.plan}>
          <h2>The plan</h2>
          {steps.length > 0 ? (
            <ol data-testid="steps">
              {steps.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ol>
          ) : (
            <p>Choose points: on the picture, or in the lists beneath it.</p>
          )}
          {steps.length > 0 && <p className={w.muted}>{plan.data!.takes}</p>}
          <p className={w.muted}>{view.order}</p>
          <Field
            label="Distance to the paper"
            name="distance"
            quantity="distance"
            value={distance}
            onChange={setDistance}
            fault={acts.faults.distance?.[0]}
          />
          {acts.faults.points && <Fault>{acts.faults.points[0]}</Fault>}
          <fieldset className={s.arrows}>
            <legend>Shafts of these arrows, four at most</legend>
            {view.arrows.map((arrow) => (
              <Tick
                key={arrow.arrowId}
                checked={arrow.chosen}
                disabled={!arrow.chosen && view.shafts.length > 3}
                onChange={(on) => {
                  const ids = view.arrows.filter((a) => (a === arrow ? on : a.chosen)).map((a) => a.arrowId);
                  setSearch({ way: 'trial', with: ids.join(',') || 'none' }, { replace: true });
                }}
              >
                {arrow.name}
                {arrow.shaft !== arrow.name && `, ${arrow.shaft}`}
              </Tick>
            ))}
          </fieldset>
        </section>
      </Main>
      {bow.data?.unsound ? (
        <UnsoundFoot bowId={bowId} why={bow.data.unsound} />
      ) : (
        <Foot
          sentence={
            acts.problem && !acts.faults.distance && !acts.faults.points
              ? acts.problem.message
              : steps.length > 1
                ? `Begin with ${steps[0]}.`
                : 'Choose two points at least.'
          }
          reason="The bow stays as it is. One bare shaft each; target well behind the paper, a clear range."
          trouble={acts.problem !== null}
          button="Begin this trial"
          busy={acts.busy || steps.length < 2}
          onGo={() => void begin()}
          alternative="Back to the paper"
          onAlternative={back}
        />
      )}
    </>
  );
}
