import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useRefresh } from '../../api/queries';
import { useActs } from '../../api/useActs';
import { useEarlier } from '../../api/useEarlier';

export type Happened = Schemas['HappenedView'];
export type Sign = Schemas['StorySign'];
export type Answers = Schemas['StoryAnswers'];
export type Two = Schemas['TwoDatesView'];

const NONE = { rows: [], earlier: null };
const rows = ({ events, earlier }: Schemas['StoryPageView']) => ({ rows: events, earlier });

/** A bow's story: its pages, what it answers, and what can be added to it. */
export function useStory(bowId: string) {
  const queries = useQueryClient();
  const refresh = useRefresh(bowId);
  const acts = useActs(`story ${bowId}`);
  const [signs, setSigns] = useState<Sign[]>([]);
  const [find, setFind] = useState('');
  const [dates, setDates] = useState<{ then?: string; now?: string }>({});
  const path = { id: bowId };
  const query = { signs: signs.join(',') || undefined, find: find.trim() || undefined };
  const load = (before?: string) =>
    answer(api.GET('/api/bows/{id}/story', { params: { path, query: { ...query, before } } }));
  const key = ['story', bowId, query];
  const newest = useQuery({ queryKey: key, queryFn: () => load(), placeholderData: keepPreviousData });
  const list = useEarlier(key, newest.data ? rows(newest.data) : NONE, (before: string) => load(before).then(rows));
  const answers = useQuery({
    queryKey: ['story', bowId, 'answers', dates],
    queryFn: () => answer(api.GET('/api/bows/{id}/story/answers', { params: { path, query: dates } })),
    placeholderData: keepPreviousData,
  });
  const seen = async (doing: Promise<unknown>) => {
    if (!(await doing)) return false;
    await queries.invalidateQueries({ queryKey: ['story', bowId] });
    refresh();
    return true;
  };
  return {
    list,
    failed: newest.error ?? answers.error,
    retry: () => void Promise.all([newest.refetch(), answers.refetch()]),
    answers: answers.data,
    looking: newest.isPlaceholderData,
    signs,
    setSigns,
    find,
    setFind,
    dates,
    setDates,
    problem: acts.problem,
    busy: acts.busy,
    clear: acts.clear,
    note: (text: string, by: string | null) =>
      seen(
        acts.act(`note ${text}`, (id) =>
          answer(
            api.POST('/api/bows/{id}/story/notes', { params: { path }, body: { id, text, by, happenedAt: null } }),
          ),
        ),
      ),
    planned: (reminderId: string) =>
      seen(
        acts.act(`done ${reminderId}`, () =>
          answer(api.POST('/api/plan/{id}/state', { params: { path: { id: reminderId } }, body: { state: 'done' } })),
        ),
      ),
    takeBack: (noteId: string) =>
      seen(
        acts.act(`take back ${noteId}`, () =>
          answer(api.DELETE('/api/bows/{id}/story/notes/{noteId}', { params: { path: { ...path, noteId } } })),
        ),
      ),
    back: (two: Two) =>
      seen(
        acts.act(`back ${JSON.stringify(two.wayBack)}`, (id) =>
          answer(
            api.POST('/api/bows/{id}/story/back', {
              params: { path },
              body: {
                id,
                then: two.then,
                moves: two.wayBack.map(({ kind, from, to }) => ({ adjuster: kind, from, to })),
              },
            }),
          ),
        ),
      ),
  };
}

export type StoryWork = ReturnType<typeof useStory>;
