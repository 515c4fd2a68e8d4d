import { Figure } from '../../bench/Figure';
import { signed, withUnit } from '../../units/units';
import { useSay, useUnits } from '../../units/UnitsContext';
import type { Paper, ShotSet } from './paperTypes';

/** What the paper says, on what evidence, and the one move. */
export function ReadingPanel({ paper, set }: { paper: Paper; set: ShotSet }) {
  const say = useSay();
  const units = useUnits();
  const { advice } = paper;
  const current = set.id === paper.sets.at(-1)!.id;
  const usable = set.mean !== null;
  return (
    <section className="reading" aria-label="Reading">
      <h1 data-testid="words">{say(set.mean?.words ?? 'Nothing yet: shoot through the paper.')}</h1>
      {usable && (
        <div className="reading-figures">
          {set.figures.map((figure) => (
            <Figure key={figure.name} figure={figure} small since={set.number > 1 ? 'the last set' : undefined}>
              {figure.name !== 'spread' && (
                <span className="d">
                  ± {withUnit(set.mean!.radius, 'in', 2, units)}
                  {figure.word ? `, ${figure.word}` : ''}
                </span>
              )}
              {figure.name === 'spread' && figure.word && <span className="d">{say(figure.word)}</span>}
            </Figure>
          ))}
        </div>
      )}
      {current ? (
        <CurrentAdvice paper={paper} />
      ) : (
        <p className="muted">A past set. The advice belongs to the set in work.</p>
      )}
      {current && advice.runnerUp && (
        <p>
          <b>Why not another?</b> {say(advice.runnerUp)}
        </p>
      )}
    </section>
  );
}

function CurrentAdvice({ paper }: { paper: Paper }) {
  const say = useSay();
  const { advice } = paper;
  return (
    <>
      <dl className="evidence">
        {advice.evidence.map((line) => (
          <div key={line.statement}>
            <dt>{say(line.statement)}</dt>
            <dd>
              {say(line.because)} <span className="muted">Would overturn it: {say(lower(line.wouldOverturn))}.</span>
            </dd>
          </div>
        ))}
      </dl>
      <div className="move-box" data-testid="advice" data-kind={advice.kind}>
        <p className="move-tag">
          {advice.kind === 'smallTest' ? 'A small test' : advice.move ? 'The one move' : 'The one advice'}
        </p>
        <h2>{say(advice.move ? advice.move.order : advice.sentence)}</h2>
        <p>{say(advice.reason)}</p>
        {advice.disputed && (
          <p>
            <b>Disputed.</b> {say(advice.disputed)}
          </p>
        )}
        {advice.move && (
          <p className="muted">
            From {signed(advice.move.from, 0)} to {signed(advice.move.to, 0)}.{' '}
            {advice.move.needsPress ? 'Press needed: only with the right press and the manual. ' : 'No press. '}
            {advice.move.after}
          </p>
        )}
      </div>
    </>
  );
}

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
