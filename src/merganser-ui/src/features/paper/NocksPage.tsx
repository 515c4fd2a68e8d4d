import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { Drawn } from '../../parts/Drawn';
import { Field } from '../../parts/Field';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { useActs } from '../../api/useActs';
import { useUndo } from '../../shell/useUndo';
import { useFigures } from '../../units/UnitsContext';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Empty } from '../../parts/Empty';
import { ListRow } from '../../parts/List';
import { Main } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { NockRing, ShotsOf } from './NockParts';
import { SayIt } from './SayIt';
import { useDozens } from '../../api/queries';
import type { Choices, Words } from './paperTypes';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './NocksPage.module.css';

type Nocks = Schemas['NockRound'];

/** Every shaft through paper: its nock turned and marked, then all of them with vanes. */
export function NocksPage({ bowId, choices }: { bowId: string; choices: Choices | undefined }) {
  const navigate = useNavigate();
  const lines = useDozens(bowId);
  const dozens = lines.data?.dozens;
  const [dozenId, setDozenId] = useState<string | null>(null);
  const dozen = dozens?.find((d) => d.id === dozenId) ?? dozens?.[0];
  const [distance, setDistance] = useState<number | null>(null);
  const nocks = useQuery({
    queryKey: ['nocks', dozen?.id, distance],
    queryFn: () =>
      answer(
        api.GET('/api/dozens/{id}/nocks', {
          params: { path: { id: dozen!.id }, query: distance === null ? {} : { distance } },
        }),
      ),
    enabled: dozen !== undefined,
    placeholderData: keepPreviousData,
  });
  if (dozens?.length === 0)
    return (
      <>
        <Main className={s.page}>
          <Pane>
            <Empty of="nock" title="No dozen yet">
              Nock tuning goes arrow by arrow: number them first, in a dozen.
            </Empty>
          </Pane>
        </Main>
        <Foot
          sentence="Begin a dozen, then its nocks."
          reason="Each arrow keeps its mark and what paper said of it."
          button="To the dozen"
          onGo={() => void navigate(`/bows/${bowId}/dozen`)}
          alternative="Back to the session"
          onAlternative={() => void navigate(`/bows/${bowId}/paper`)}
        />
      </>
    );
  if (!nocks.data)
    return (
      <>
        <Main kind="inset">
          <Drawn of="nock" waits />
        </Main>
        <OpeningFoot
          opening="Opening the dozen …"
          what="The nocks"
          failed={[lines.error, nocks.error]}
          back={{ to: 'Back to the session', go: () => void navigate(`/bows/${bowId}/paper`) }}
        />
      </>
    );
  return (
    <NockRounds
      key={nocks.data.dozenId}
      bowId={bowId}
      nocks={nocks.data}
      sizes={choices?.sizes ?? []}
      others={(dozens ?? []).map((d) => ({ id: d.id, name: d.name }))}
      onDozen={setDozenId}
      onDistance={setDistance}
    />
  );
}

interface RoundsProps {
  bowId: string;
  nocks: Nocks;
  sizes: Choices['sizes'];
  others: { id: string; name: string }[];
  onDozen: (id: string) => void;
  onDistance: (distance: number | null) => void;
}

const usual = [3, 6, 15];
const dress: [boolean, string][] = [
  [false, 'Bare'],
  [true, 'With vanes'],
];

function NockRounds({ bowId, nocks, sizes, others, onDozen, onDistance }: RoundsProps) {
  const { figure } = useFigures();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const acts = useActs(`paper ${bowId}`);
  const undo = useUndo();
  const [picked, setPicked] = useState<{ number: number; turn: number; fletched: boolean } | null>(null);
  const [words, setWords] = useState<Words | null>(null);
  const [right, setRight] = useState('');
  const [up, setUp] = useState('');
  const next = nocks.next;
  const at = picked ?? (next.number ? { number: next.number, turn: next.turn, fletched: next.fletched } : null);
  const ready = words !== null || right.trim() !== '' || up.trim() !== '';
  const put = (view: Nocks | null) => {
    if (!view) return;
    void queries.invalidateQueries({ queryKey: ['nocks', nocks.dozenId] });
    void queries.invalidateQueries({ queryKey: ['dozens'] });
    setPicked(null);
    setWords(null);
    setRight('');
    setUp('');
  };
  const shoot = async () => {
    if (!at || !ready) return;
    const before = nocks.arrows.flatMap((a) => a.shots.map((s) => s.id));
    const what = `nock ${JSON.stringify([at, words, right, up, before.length])}`;
    const view = await acts.act(what, (id) =>
      answer(
        api.POST('/api/dozens/{id}/nocks', {
          params: { path: { id: nocks.dozenId } },
          body: {
            id,
            ...at,
            right: words ? null : right,
            up: words ? null : up,
            words,
            distance: String(nocks.distance),
          },
        }),
      ),
    );
    put(view);
    const added = view?.arrows.flatMap((a) => a.shots).find((s) => !before.includes(s.id));
    if (added) undo.offer('Undo the shot', () => void takeBack(added.id));
  };
  const takeBack = async (shotId: string) =>
    put(
      await acts.act(`withdraw ${shotId}`, () =>
        answer(api.DELETE('/api/dozens/{id}/nocks/{shotId}', { params: { path: { id: nocks.dozenId, shotId } } })),
      ),
    );
  const turns = at?.fletched ? nocks.vaneTurns : nocks.bareTurns;
  return (
    <>
      <Main className={s.page}>
        <Pane label="Arrows">
          <div className={l.row}>
            <h1>Nocks of {nocks.name}</h1>
            {others.length > 1 && (
              <Pick label="Dozen" value={nocks.dozenId} onChange={onDozen}>
                {others.map((o) => (
                  <option key={o.id} value={o.id}>
                    {o.name}
                  </option>
                ))}
              </Pick>
            )}
          </div>
          <ChoiceRow
            label="Distance"
            value={nocks.distance}
            choices={[...new Set([...usual, ...nocks.distances.map((d) => d.distance)])]
              .sort((a, b) => a - b)
              .map((yards) => [yards, figure(yards, 'yd', 1)] as const)}
            onChange={onDistance}
          />
          <p className={w.muted}>
            {nocks.good} of {nocks.arrows.length} fly inside {nocks.toleranceText}
            {nocks.practice > 0 && `, ${nocks.practice} for practice`}. Rings: one turn each, the best one filled.
          </p>
          <ul className={s.nocks} data-testid="nocks">
            {nocks.arrows.map((arrow) => (
              <li key={arrow.number}>
                <ListRow
                  ruled
                  className={s.arrow}
                  here={arrow.number === at?.number}
                  aria-pressed={arrow.number === at?.number}
                  onClick={() => {
                    const fletched = arrow.fletched.state !== 'untried' || arrow.bare.state === 'good';
                    setPicked({
                      number: arrow.number,
                      fletched,
                      turn: (fletched ? arrow.fletched : arrow.bare).next ?? 0,
                    });
                  }}
                >
                  <b className={w.tabular}>{arrow.number}</b>
                  <NockRing arrow={arrow} fletched={false} turns={nocks.bareTurns} />
                  <NockRing arrow={arrow} fletched turns={nocks.vaneTurns} />
                  <span>
                    <small>bare: {arrow.bare.words}</small>
                    <small>vanes: {arrow.fletched.words}</small>
                  </span>
                </ListRow>
              </li>
            ))}
          </ul>
        </Pane>
        {at && (
          <Pane label="This arrow">
            <p className={w.label}>Arrow {at.number}</p>
            <h2>
              {at.fletched ? 'With vanes' : 'Bare'}, {at.turn === 0 ? 'as it came' : `step ${at.turn} of ${turns}`}
            </h2>
            <ChoiceRow
              label="Bare or fletched"
              value={at.fletched}
              choices={dress}
              onChange={(fletched) => setPicked({ ...at, fletched, turn: 0 })}
            />
            <ChoiceRow
              label="Turn of the nock"
              value={at.turn}
              choices={Array.from(
                { length: turns },
                (_, turn) => [turn, turn === 0 ? 'as it came' : `step ${turn}`] as const,
              )}
              onChange={(turn) => setPicked({ ...at, turn })}
            />
            <SayIt words={words} sizes={sizes} onChange={setWords} />
            {!words && (
              <div className={l.pair}>
                <Field
                  label="Tail right of the point (left: −)"
                  name="right"
                  quantity="length"
                  value={right}
                  onChange={setRight}
                  fault={acts.faults.right?.[0]}
                />
                <Field
                  label="Tail above the point (below: −)"
                  name="up"
                  quantity="length"
                  value={up}
                  onChange={setUp}
                  fault={acts.faults.up?.[0]}
                  onEnter={() => void shoot()}
                />
              </div>
            )}
            <ShotsOf arrow={nocks.arrows[at.number - 1]!} onTakeBack={(id) => void takeBack(id)} />
          </Pane>
        )}
      </Main>
      <Foot
        trouble={acts.problem !== null}
        sentence={acts.problem?.message ?? (ready ? `Keep it for arrow ${at?.number}.` : next.sentence)}
        reason={acts.problem ? 'What you entered is still here.' : next.reason}
        button="Keep this shot"
        busy={!ready || !at || acts.busy}
        onGo={() => void shoot()}
        alternative="Back to the session"
        onAlternative={() => void navigate(`/bows/${bowId}/paper`)}
        extra={undo.key}
      />
    </>
  );
}
