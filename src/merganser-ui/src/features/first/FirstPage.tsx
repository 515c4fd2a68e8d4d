import { ButtonBase } from '@mui/material';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Key } from '../../parts/Buttons';
import { Fault, Note } from '../../parts/Note';
import { Main, Page } from '../../parts/Page';
import { classes } from '../../parts/classes';
import { Foot } from '../../shell/Foot';
import { ShellHead } from '../../shell/ShellHead';
import { useFaultFocus } from '../../shell/focus';
import { fieldUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { Answer } from './Answer';
import { FirstFigures } from './FirstFigures';
import { HoleKeys } from './HoleKeys';
import { PrintedBow } from './PrintedBow';
import { PrintedShaft } from './PrintedShaft';
import { hands, kinds, steps, type Question, type Step } from './questions';
import { useFirst, type FirstWork } from './useFirst';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './FirstPage.module.css';

/** Sizes that can be said before the bench has answered. */
const noSizes: never[] = [];

/** An empty bench: the bow and the arrow by what is printed on them, the first hole, and a first figure from the first answer on. */
export default function FirstPage() {
  const work = useFirst();
  const navigate = useNavigate();
  const units = useUnits();
  useFaultFocus(work.problem);
  const { first, open, reading } = work;

  const counted = (question: Question): string => {
    const unit = fieldUnit(question.quantity, units);
    const say = (text: string | null | undefined) =>
      text ? `${text}${/[a-z#]\s*$/i.test(text) ? '' : ` ${unit}`}` : '…';
    const own = question.name in first.texts ? first.texts[question.name as keyof First] : '';
    switch (question.name) {
      case 'kind':
        return `${kinds[first.kind]}, ${hands[first.hand].toLowerCase()}`;
      case 'drawWeight':
        return say(own || reading?.bow.nominalWeight);
      case 'drawLength':
        return say(own || reading?.bow.drawLength);
      case 'spine':
        return own || reading?.spine || '…';
      case 'cutLength':
        return say(own || reading?.cutLength);
      case 'point':
        return say(own || reading?.point);
      default:
        return '';
    }
  };
  const asked = (at: Step) => work.questions.filter((q) => q.step === at);
  const answers = (at: Step) =>
    asked(at).map((question) => (
      <Answer key={question.name} question={question} work={work} counted={counted(question)} />
    ));
  const stepAt = (at: Step) => ({
    at,
    here: open.step === at,
    done: asked(at).every((q) => first.answered.includes(q.name)),
    onOpen: () => work.change({ at: asked(at)[0]!.name }),
  });

  const leave = async (to: (bowId: string) => string, withHole = false) => {
    const kept = await work.keep(withHole);
    if (kept) void navigate(to(kept.bowId), { replace: true });
  };
  const shot = work.questions.find((q) => q.name === 'hole')!;
  const problem = work.problem && Object.keys(work.faults).length === 0 ? work.problem.message : null;
  return (
    <Page>
      <ShellHead at="start" title="First bow" />
      <Main className={s.page}>
        <div className={l.title}>
          <h1>Three short steps, then your first figure</h1>
          <p className={w.muted}>Any answer may be left open: the figure then says how much that costs.</p>
          <Link className={l.far} to="/bows/new">
            Enter all measures instead
          </Link>
          <Link to="/guide">Guide</Link>
        </div>
        <div className={s.steps} data-testid="steps">
          <Part {...stepAt(1)}>
            <PrintedBow
              kind={first.kind}
              hand={first.hand}
              weight={first.texts.drawWeight || '? to ?'}
              draw={first.texts.drawLength || '?'}
            />
            {answers(1)}
          </Part>
          <Part {...stepAt(2)}>
            <PrintedShaft
              number={first.texts.spine ?? ''}
              mass={first.texts.grainsPerInch ?? ''}
              massUnit={first.texts.grainsPerInch ? fieldUnit('massPerLength', units) : ''}
            />
            {answers(2)}
          </Part>
          <Part {...stepAt(3)}>
            <div className={s.hanging}>
              <p>
                Paper taut, 3 yd away, backstop well behind it. One arrow with its vanes. Press the hole like yours.
              </p>
              <HoleKeys
                asked={open.name === 'hole'}
                hole={first.hole}
                size={first.size}
                sizes={reading?.sizes ?? noSizes}
                onPress={(hole) => work.change({ hole, at: 'hole' })}
                onSize={(size) => work.change({ size })}
              />
              <div className={l.row}>
                <Key onClick={() => void leave((id) => `/bows/${id}/paper`)}>I can’t tell</Key>
                <Key onClick={() => void leave((id) => `/bows/${id}/bow?way=wrong&trouble=tearStays`)}>
                  It differs from shot to shot
                </Key>
              </div>
            </div>
          </Part>
        </div>
        {reading?.reading.clash && <Note word="Look again.">{reading.reading.clash}</Note>}
        {problem && <Fault>{problem}</Fault>}
        <FirstFigures reading={work.begun ? reading?.reading : undefined} />
      </Main>
      <FirstFoot work={work} shot={shot} counted={counted(open)} leave={leave} />
    </Page>
  );
}

type First = FirstWork['first']['texts'];

interface PartProps {
  at: Step;
  done: boolean;
  here: boolean;
  onOpen: () => void;
  children: ReactNode;
}

/** One of the three steps; on a phone only the open one is more than its heading. */
const Part = ({ at, done, here, onOpen, children }: PartProps) => (
  <section className={classes(s.step, here && s.here)} aria-label={steps[at]}>
    <h2 className={s.head} data-here={here || undefined}>
      <svg width="24" height="24" viewBox="0 0 24 24" aria-hidden="true">
        <circle
          cx="12"
          cy="12"
          r="10"
          fill={done ? 'var(--green)' : 'none'}
          stroke={done ? 'var(--green)' : 'var(--ink)'}
          strokeWidth="2.5"
        />
        {done ? (
          <path d="M7 12l4 4 6-8" fill="none" stroke="var(--on-green)" strokeWidth="2.5" />
        ) : (
          here && <circle cx="12" cy="12" r="4" fill="var(--ink)" />
        )}
      </svg>
      {here ? (
        `${at}. ${steps[at]}`
      ) : (
        <ButtonBase className={s.opens} onClick={onOpen}>
          {at}. {steps[at]}
        </ButtonBase>
      )}
    </h2>
    {children}
  </section>
);

interface FootProps {
  work: FirstWork;
  shot: Question;
  counted: string;
  leave: (to: (bowId: string) => string, withHole?: boolean) => Promise<void>;
}

/** What is next: the open question, or the hole. */
function FirstFoot({ work, shot, counted, leave }: FootProps) {
  const { open, first } = work;
  const away = 'Nothing that was answered is lost: it is kept in this browser.';
  if (open.name !== 'hole') {
    const typed = open.name === 'kind' || Boolean(first.texts[open.name]);
    const after = work.questions[work.questions.indexOf(open) + 1]!;
    return (
      <Foot
        key={open.name}
        sentence={open.asks}
        reason={typed ? '' : `Not known? It is counted with ${counted} then, and the bar says what that costs.`}
        button={typed ? `Go on: ${after.label.toLowerCase()}` : 'I don’t know: go on'}
        onGo={() => work.goOn(open.name)}
        alternative={open.step === 1 ? null : 'Back to the bow'}
        onAlternative={() => work.change({ at: 'drawWeight' })}
      />
    );
  }
  return (
    <Foot
      key="hole"
      sentence={first.hole ? 'Keep this bow and read the hole.' : shot.asks}
      reason={
        work.problem
          ? away
          : first.hole
            ? 'A pressed hole is a shot that was said, with its error. The bow’s other measures are asked when they are needed.'
            : 'No paper today? The figures stay as they are, and the bench asks again another day.'
      }
      button={first.hole ? 'Read this hole' : 'Mark my own hole'}
      onGo={() => void leave((id) => `/bows/${id}/paper`, true)}
      busy={work.busy}
      alternative="No paper today"
      onAlternative={() => void leave((id) => `/bows/${id}/arrow`)}
    />
  );
}
