import { useEffect, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { ChoiceRow } from '../../../parts/ChoiceRow';
import { Key } from '../../../parts/Buttons';
import { Fold } from '../../../parts/Fold';
import { Fault, Note } from '../../../parts/Note';
import { Body, Main } from '../../../parts/Page';
import { Stepper } from '../../../parts/Stepper';
import { Foot } from '../../../shell/Foot';
import { OpeningFoot } from '../../../shell/OpeningFoot';
import { isPageKey, layerIsOpen } from '../../../shell/keys';
import { ArrowWays } from '../ArrowWays';
import { useNewArrow } from '../useNewArrow';
import { FoundList, Parts, Pressed } from './FoundList';
import { Like, Progress } from './Progress';
import { TradeOff } from './TradeOff';
import { useFinder, type Figure, type Row } from './useFinder';
import { WantedRange } from './WantedRange';
import w from '../../../parts/words.module.css';
import s from './Finder.module.css';

const FIRST: Figure[] = ['fit', 'weight', 'frontOfCenter', 'speed'];
const MOST = 6;
const parts: [Schemas['FinderParts'], string][] = [
  ['mineFirst', 'Mine first'],
  ['mineOnly', 'Mine only'],
  ['any', 'Any'],
];

const heads: [Schemas['FinderHeads'], string][] = [
  ['points', 'Points'],
  ['heads', 'Heads'],
  ['both', 'Both'],
];

/** Every arrow of the catalogue on this bow: what is wanted, what is traded for what, the best of them in a list. */
export function FinderWay({
  bowId,
  arrowId,
  onOpened,
}: {
  bowId: string;
  arrowId: string | undefined;
  onOpened: (arrowId: string) => void;
}) {
  const finder = useFinder(bowId, arrowId);
  const { start, search, rows, wish } = finder;
  const arrow = useNewArrow(bowId);
  /** A build of the picture, and the search that it is of. */
  const [press, setPress] = useState<{ of: string; row: Row } | null>(null);
  const [at, setAt] = useState<string | null>(null);
  const pressed = press && press.of === search?.id ? press.row : null;
  const nearest = search?.nearest ?? null;
  const chosen = pressed ?? rows.find((row) => row.at === at) ?? rows[0] ?? nearest?.row ?? null;
  const running = search !== null && (search.state === 'running' || search.state === 'waiting');
  const choose = (row: Row) => {
    setPress(null);
    setAt(row.at);
  };
  const { stop } = finder;
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && running && !layerIsOpen()) void stop();
      const row = isPageKey(event) ? rows[Number(event.key) - 1] : undefined;
      if (row) choose(row);
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  });
  const open = async (row: Row) => {
    const added = await arrow.begin(row.draft);
    if (added) onOpened(added);
  };
  const rest = start?.scales.filter((scale) => !FIRST.includes(scale.figure)) ?? [];
  const wanted = (figure: Figure) => wish?.ranges.find((r) => r.figure === figure);
  const more = rest.filter((scale) => wanted(scale.figure)?.low || wanted(scale.figure)?.high).length;
  const ranged = (figures: typeof rest) =>
    figures.map((scale) => (
      <WantedRange
        key={scale.figure}
        scale={scale}
        low={wanted(scale.figure)?.low ?? ''}
        high={wanted(scale.figure)?.high ?? ''}
        read={finder.read.find((r) => r.figure === scale.figure)}
        present={start?.arrowName ?? null}
        faults={finder.faults}
        onChange={(low, high) => finder.range(scale.figure, low, high)}
      />
    ));
  return (
    <>
      <Main kind="ways">
        {arrowId && <ArrowWays bowId={bowId} arrowId={arrowId} way="finder" />}
        <h1 className="visually-hidden">Finder</h1>
        <Body className={s.body}>
          <Progress finder={finder} running={running} />
          {finder.failed && <Fault>{finder.failed.message}</Fault>}
          {start && wish && (
            <section className={s.left} aria-label="Wanted">
              <h2>
                Wanted {start.arrowName && <small className={w.muted}>triangle: {start.arrowName} as it is</small>}
              </h2>
              {ranged(start.scales.filter((scale) => FIRST.includes(scale.figure)))}
              <div>
                <span className={w.label}>Parts</span>
                <ChoiceRow
                  label="Parts"
                  value={wish.parts}
                  choices={parts}
                  onChange={(of) => finder.say({ parts: of })}
                />
              </div>
              {wish.parts !== 'mineOnly' && (
                <Stepper
                  bare
                  label="Kinds to buy, at most"
                  value={wish.mostToBuy ?? MOST}
                  onChange={(n) => finder.say({ mostToBuy: n >= MOST ? null : Math.max(0, n) })}
                >
                  {wish.mostToBuy === null && <span>any number</span>}
                </Stepper>
              )}
              <div>
                <span className={w.label}>In front</span>
                <ChoiceRow
                  label="In front"
                  value={wish.heads}
                  choices={heads}
                  onChange={(of) => finder.say({ heads: of })}
                />
              </div>
              <Fold words={more > 0 ? `More to want: ${more} set` : 'More to want'}>{ranged(rest)}</Fold>
              {start.arrowName && <Like name={start.arrowName} finder={finder} />}
              <p className={w.muted}>{start.words}</p>
            </section>
          )}
          {start && wish && (
            <TradeOff
              finder={finder}
              scales={start.scales}
              present={start.arrowName}
              chosen={chosen}
              onChoose={choose}
              onPress={(place) => {
                const of = search?.id;
                void finder.build(place).then((row) => row && of && setPress({ of, row }));
              }}
            />
          )}
          <div className={s.right}>
            {finder.stale && (
              <Note role="status" act={<Key onClick={finder.again}>Search again</Key>}>
                The catalogue was changed since.
              </Note>
            )}
            {pressed && <Pressed row={pressed} onBack={() => setPress(null)} />}
            {nearest && rows.length === 0 && (
              <>
                <Note
                  role="status"
                  act={
                    <Key onClick={() => finder.say({ ranges: nearest.ranges, mostToBuy: nearest.mostToBuy })}>
                      Widen it so far
                    </Key>
                  }
                >
                  {nearest.words}
                </Note>
                <p>
                  <b>{nearest.row.name}</b>: <Parts row={nearest.row} />
                </p>
              </>
            )}
            <FoundList finder={finder} chosen={chosen} onChoose={choose} />
          </div>
        </Body>
      </Main>
      {!start ? (
        <OpeningFoot opening="Opening the catalogue …" what="The catalogue" failed={[finder.failed]} />
      ) : arrow.problem ? (
        <Foot
          trouble
          sentence={arrow.problem.message}
          reason="Nothing is lost: the list stays."
          button="Try again"
          onGo={() => chosen && void open(chosen)}
        />
      ) : finder.lost || (finder.problem && Object.keys(finder.faults).length === 0) ? (
        <Foot
          trouble
          sentence={finder.problem?.message ?? 'The search was lost: the server does not answer.'}
          reason="What was found so far stands."
          button="Search again"
          onGo={finder.again}
        />
      ) : Object.keys(finder.faults).length > 0 ? (
        <Foot
          trouble
          sentence="One entry needs another look."
          reason={Object.values(finder.faults)[0]![0]!}
          button="Leave it open"
          onGo={finder.leaveOpen}
        />
      ) : chosen ? (
        <Foot
          sentence={chosen.put}
          reason={[chosen.caution, search?.note].filter(Boolean).join(' ')}
          button={chosen.rank > 0 ? `Open number ${chosen.rank}` : 'Open it'}
          busy={arrow.busy}
          onGo={() => void open(chosen)}
        />
      ) : (
        <Foot
          sentence={running || !search ? 'Looking through the catalogue …' : 'Nothing fits all that is wanted.'}
          reason={search?.note ?? ''}
          button="Wait"
          busy
          onGo={() => undefined}
        />
      )}
    </>
  );
}
