import { useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBow } from '../../api/queries';
import { BowWays, bowWayLabel } from '../../shell/BowWays';
import { Foot } from '../../shell/Foot';
import { OpeningPage } from '../../shell/OpeningPage';
import { ShellHead } from '../../shell/ShellHead';
import { lower } from '../../parts/letters';
import { ListRow } from '../../parts/List';
import { Note } from '../../parts/Note';
import { Main, Page } from '../../parts/Page';
import { classes } from '../../parts/classes';
import { TroubleDrawing } from './TroubleDrawing';
import { useSetup, useTroubles } from './useSetup';
import { StateSign } from './WorkOrder';
import w from '../../parts/words.module.css';
import s from './WrongPage.module.css';

type Trouble = Schemas['TroubleView'];

const signs = { open: 'open', inOrder: 'done', found: 'again' } as const;

/** Something is wrong: what is seen, and what is looked at, in order, each with its why. */
export function WrongPage() {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const bow = useBow(bowId);
  const troubles = useTroubles(bowId);
  const work = useSetup(bowId);
  const all = troubles.data?.troubles;
  const title = bowWayLabel('wrong');
  if (!bow.data || !all)
    return <OpeningPage at="bow" bowId={bowId} title={title} failed={[bow.error, troubles.error]} />;

  const chosen = all.find((trouble) => trouble.kind === search.get('trouble'));
  // A step is passed over by its number; what was found since comes before it all the same.
  const passed = Number(search.get('at') ?? 0);
  const at = chosen && chosen.steps[chosen.first]!.state === 'open' ? stepAt(chosen, passed) : (chosen?.first ?? 0);
  const step = chosen?.steps[at];
  // What was passed over by hand is followed by the step itself, in place of what the server says is first.
  const next =
    chosen && step && at !== chosen.first
      ? { sentence: `Next: ${step.title.toLowerCase()}.`, reason: step.why, button: step.button, action: step.action }
      : chosen?.next;
  const go = (action: string) => {
    if (!chosen) return;
    if (action === 'next') setSearch({ way: 'wrong', trouble: chosen.kind, at: String(at + 1) });
    else if (action.startsWith('check:'))
      void navigate(`/bows/${bowId}/bow?check=${action.slice(6)}&trouble=${chosen.kind}`);
    else if (action.startsWith('log:')) void work.change(action.slice(4) as Schemas['BowChange'], chosen.name);
    else void navigate(`/bows/${bowId}/${action}`);
  };

  return (
    <Page>
      <ShellHead at="bow" bowId={bowId} title={title} />
      <Main kind="ways">
        <BowWays bowId={bowId} way="wrong" kind={bow.data.bow.kind} />
        <div className={classes(s.grid, !chosen && s.alone)}>
          <section aria-label="What is seen" className={s.seen}>
            <h1>What do you see?</h1>
            <ul>
              {all.map((trouble) => (
                <li key={trouble.kind}>
                  <ListRow
                    className={s.row}
                    here={trouble === chosen}
                    aria-current={trouble === chosen ? 'true' : undefined}
                    onClick={() => setSearch({ way: 'wrong', trouble: trouble.kind })}
                    data-trouble-kind={trouble.kind}
                  >
                    <TroubleDrawing kind={trouble.kind} />
                    <span>
                      <b>{trouble.name}</b>
                      <small>{trouble.seen}</small>
                    </span>
                  </ListRow>
                </li>
              ))}
            </ul>
          </section>
          {chosen && (
            <section aria-label={chosen.name} className={s.steps} data-testid="trouble">
              <h2>Looked at in this order</h2>
              <p className={w.muted}>
                {chosen.evidence ?? 'What is cheap and sure first. Common practice, no source.'}
              </p>
              {work.problem && <Note word="Not logged.">{work.problem.message}</Note>}
              <ol>
                {chosen.steps.map((each, i) => (
                  <li key={each.action + each.title}>
                    <ListRow
                      className={s.row}
                      ruled
                      here={i === at}
                      aria-current={i === at ? 'step' : undefined}
                      disabled={work.busy || (each.action.startsWith('log:') && each.state === 'inOrder')}
                      onClick={() => go(each.action)}
                      data-step={each.action}
                      data-state={each.state}
                    >
                      <StateSign state={signs[each.state]} />
                      <span>
                        <b>{each.title}</b>
                        {each.why}
                        <small>{standsOf(each)}</small>
                      </span>
                    </ListRow>
                  </li>
                ))}
              </ol>
            </section>
          )}
        </div>
      </Main>
      {chosen && step && next ? (
        <Foot
          sentence={next.sentence}
          reason={next.reason}
          button={next.button}
          busy={work.busy}
          onGo={() => go(next.action)}
          alternative={at + 1 < chosen.steps.length && step.state === 'open' ? 'That is in order: the next' : null}
          onAlternative={() => go('next')}
        />
      ) : (
        <Foot
          sentence="Press what you see."
          reason="It opens what is looked at first, in order, with the reason for each."
          button="To the work order"
          onGo={() => void navigate(`/bows/${bowId}/bow`)}
        />
      )}
    </Page>
  );
}

/** The first step from one on that was not looked at yet; the last where none is left. */
function stepAt(trouble: Trouble, from: number): number {
  const at = trouble.steps.findIndex((step, i) => i >= from && step.state !== 'inOrder');
  return at < 0 ? trouble.steps.length - 1 : at;
}

/** How a step stands, in words beside its sign. */
function standsOf({ state, stands }: Trouble['steps'][number]): string {
  if (state === 'inOrder') return stands ? `In order: ${lower(stands)}` : 'Logged';
  if (state === 'found') return `Not right: ${lower(stands ?? '')}`;
  return stands ?? '';
}
