import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answer, api, faultsOf } from '../../api/client';
import { keptAs, readKept } from '../../api/bench';
import { useActs } from '../../api/useActs';
import { questionsFor, saidHole, type Answers, type Asked, type Pressed, type QuestionName } from './questions';

/** What was answered so far; a question that is not in it was not asked yet, and an empty text is "I don't know". */
export interface First {
  kind: Answers['kind'];
  hand: Answers['hand'];
  texts: Partial<Record<Asked | 'armSpan' | 'grainsPerInch', string>>;
  /** The questions that were answered, with "I don't know" or otherwise. */
  answered: QuestionName[];
  /** The question that is open. */
  at: QuestionName;
  hole: Pressed | null;
  size: string;
}

const nothing: First = {
  kind: 'compound',
  hand: 'right',
  texts: {},
  answered: [],
  at: 'kind',
  hole: null,
  size: 'half',
};

const key = () => keptAs('first-1');

const kept = (): First => ({ ...nothing, ...readKept<Partial<First>>(key()) });

const answersOf = ({ kind, hand, texts }: First): Answers => ({
  kind,
  hand,
  drawWeight: texts.drawWeight ?? null,
  drawLength: texts.drawLength ?? null,
  armSpan: texts.armSpan ?? null,
  spine: texts.spine ?? null,
  grainsPerInch: texts.grainsPerInch ?? null,
  cutLength: texts.cutLength ?? null,
  point: texts.point ?? null,
});

/** The same answers of another kind of bow. What was typed stays; what is usual of the one kind alone is not what was meant. */
export function asKind(first: First, kind: First['kind']): First {
  const asked = questionsFor(kind);
  const gone = questionsFor(first.kind)
    .filter(({ name, usual }, i) => {
      const text = first.texts[name as Asked];
      return text && usual.includes(text) && !asked[i]!.usual.includes(text);
    })
    .map((q) => q.name as Asked);
  return {
    ...first,
    kind,
    texts: { ...first.texts, ...Object.fromEntries(gone.map((name) => [name, undefined])) },
    answered: first.answered.filter((name) => !gone.includes(name as Asked)),
  };
}

const PAUSE_MS = 350;

/** The answers once nothing was typed for a moment: half a number is not refused while it is being typed. */
function useSettled(answers: Answers): Answers {
  const [settled, setSettled] = useState(answers);
  const words = JSON.stringify(answers);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(JSON.parse(words) as Answers), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [words]);
  return settled;
}

/** The first answers: kept in this browser as they are given, read by the bench from the first one on. */
export function useFirst() {
  const queries = useQueryClient();
  const acts = useActs('first');
  const [first, setFirst] = useState(kept);
  const questions = questionsFor(first.kind);
  const answers = useSettled(answersOf(first));
  const begun = first.answered.length > 0 || Object.values(first.texts).some((text) => text);
  const reading = useQuery({
    queryKey: ['first', answers],
    queryFn: ({ signal }) => answer(api.POST('/api/first/reading', { body: answers, signal })),
    enabled: begun,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const change = (part: Partial<First>) => {
    const next = { ...first, ...part };
    localStorage.setItem(key(), JSON.stringify(next));
    acts.clear();
    setFirst(next);
  };
  /** The question is answered as it stands; the next one that is open opens. */
  const goOn = (name: QuestionName, part: Partial<First> = {}) => {
    const answered = [...first.answered.filter((n) => n !== name), name];
    const place = questions.findIndex((q) => q.name === name);
    const after = [...questions.slice(place + 1), ...questions.slice(0, place)];
    change({ ...part, answered, at: after.find((q) => !answered.includes(q.name))?.name ?? 'hole' });
  };
  const keep = async (withHole: boolean) => {
    const answers = answersOf(first);
    const hole = withHole && first.hole ? saidHole(first.hole, first.size) : null;
    const done = await acts.act(`keep ${JSON.stringify([answers, hole])}`, (id) =>
      answer(api.POST('/api/first', { body: { id, answers, hole } })),
    );
    if (!done) return null;
    localStorage.removeItem(key());
    await queries.invalidateQueries();
    return done;
  };
  const faults = { ...faultsOf(reading.error), ...acts.faults };
  // What cannot be read is asked again before anything else.
  const wrong = questions.find((q) => q.name in faults || (q.beside && q.beside.name in faults));
  return {
    first,
    questions,
    open: wrong ?? questions.find((q) => q.name === first.at) ?? questions[0]!,
    begun,
    reading: reading.error ? undefined : reading.data,
    problem: acts.problem ?? reading.error,
    faults,
    busy: acts.busy,
    change,
    type: (name: keyof First['texts'], text: string) => change({ texts: { ...first.texts, [name]: text } }),
    goOn,
    keep,
  };
}

export type FirstWork = ReturnType<typeof useFirst>;
