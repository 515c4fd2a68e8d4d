import { Figure } from '../../bench/Figure';
import { number } from '../../units/units';
import type { Paper, ShotSet } from './paperTypes';

/** What the paper says, on what evidence, and the one move. */
export function ReadingPanel({ paper, set }: { paper: Paper; set: ShotSet }) {
  const { advice } = paper;
  const current = set.id === paper.sets.at(-1)!.id;
  const usable = set.mean !== null;
  return (
    <section className="reading" aria-label="Reading">
      <h1 data-testid="words">{set.mean?.words ?? 'Nothing yet: shoot through the paper.'}</h1>
      {usable && (
        <div className="reading-figures">
          {set.figures.map((figure) => (
            <Figure key={figure.name} figure={figure} small since={set.number > 1 ? 'the last set' : undefined}>
              {figure.name !== 'spread' && (
                <span className="d">
                  ± {number(set.mean!.radius, 2)} in{figure.word ? `, ${figure.word}` : ''}
                </span>
              )}
              {figure.name === 'spread' && figure.word && <span className="d">{figure.word}</span>}
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
          <b>Why not another?</b> {advice.runnerUp}
        </p>
      )}
    </section>
  );
}

function CurrentAdvice({ paper }: { paper: Paper }) {
  const { advice } = paper;
  return (
    <>
      <dl className="evidence">
        {advice.evidence.map((line) => (
          <div key={line.statement}>
            <dt>{line.statement}</dt>
            <dd>
              {line.because} <span className="muted">Would overturn it: {lower(line.wouldOverturn)}.</span>
            </dd>
          </div>
        ))}
      </dl>
      <div className="move-box" data-testid="advice" data-kind={advice.kind}>
        <p className="move-tag">
          {advice.kind === 'smallTest' ? 'A small test' : advice.move ? 'The one move' : 'The one advice'}
        </p>
        <h2>{advice.move ? advice.move.order : advice.sentence}</h2>
        <p>{advice.reason}</p>
        {advice.disputed && (
          <p>
            <b>Disputed.</b> {advice.disputed}
          </p>
        )}
        {advice.move && (
          <p className="muted">
            From {advice.move.from} to {advice.move.to}.{' '}
            {advice.move.needsPress ? 'Press needed: only with the right press and the manual. ' : 'No press. '}
            {advice.move.after}
          </p>
        )}
      </div>
    </>
  );
}

const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
