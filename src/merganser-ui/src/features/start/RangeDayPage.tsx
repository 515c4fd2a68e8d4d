import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../../api/client';
import { keptAs, readKept } from '../../api/bench';
import { useRack } from '../../api/queries';
import { useActs } from '../../api/useActs';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Key } from '../../parts/Buttons';
import { Empty } from '../../parts/Empty';
import { Body, Main, Page } from '../../parts/Page';
import { Foot } from '../../shell/Foot';
import { ShellHead } from '../../shell/ShellHead';
import { useQueryClient } from '@tanstack/react-query';
import w from '../../parts/words.module.css';
import { Tally } from './Tally';
import s from './RangeDayPage.module.css';

const ENDS = ['3', '4', '6', '12'] as const;
const MOST = 1000;

/** What was counted before a reload: arrows by bow. */
function counted(): Record<string, number> {
  const kept = readKept<Record<string, number>>(keptAs('range-day')) ?? {};
  return Object.fromEntries(Object.entries(kept).filter(([, shots]) => Number.isInteger(shots) && shots > 0));
}

/** A range day: ends of every bow, pressed as they are shot, kept at once. */
export default function RangeDayPage() {
  const rack = useRack();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const acts = useActs('range day');
  const [end, setEnd] = useState<(typeof ENDS)[number]>('6');
  const [shots, setShots] = useState(counted);
  const set = (bowId: string, next: number) => {
    const now = { ...shots, [bowId]: Math.min(MOST, Math.max(0, next)) };
    setShots(now);
    localStorage.setItem(keptAs('range-day'), JSON.stringify(now));
  };
  const bows = rack.data?.bows ?? [];
  const none = rack.data !== undefined && bows.length === 0;
  const nothingYet = none
    ? {
        sentence: 'There is nothing to count yet.',
        reason: 'A range day counts the arrows of the bows on the rack.',
        button: 'Enter a bow',
      }
    : {
        sentence: 'Press an end when it is shot.',
        reason: 'The strings count them; checks fall due by them.',
        button: 'Back to the rack',
      };
  const day = bows.map(({ id }) => ({ bowId: id, shots: shots[id] ?? 0 })).filter((bow) => bow.shots > 0);
  const sum = day.reduce((all, bow) => all + bow.shots, 0);
  const keep = async () => {
    if (day.length === 0) return void navigate('/');
    const kept = await acts.act(`range day ${JSON.stringify(day)}`, (id) =>
      answer(api.POST('/api/range-day', { body: { id, bows: day } })),
    );
    if (!kept) return;
    localStorage.removeItem(keptAs('range-day'));
    setShots({});
    await queries.invalidateQueries();
    void navigate('/');
  };
  return (
    <Page>
      <ShellHead at="start" />
      <Main kind="ways">
        <div className={s.head}>
          <h1>Range day</h1>
          <ChoiceRow
            label="Arrows an end"
            value={end}
            onChange={(to) => setEnd(to as typeof end)}
            choices={ENDS.map((of) => [of, `Ends of ${of}`] as [string, string])}
          />
        </div>
        <Body>
          {none && (
            <Empty of="rack" title="No bow hangs here yet">
              Enter one first.
            </Empty>
          )}
          <ul className={s.bows} data-testid="range-day">
            {bows.map((bow) => {
              const of = shots[bow.id] ?? 0;
              return (
                <li key={bow.id} data-bow={bow.id}>
                  <div className={s.who}>
                    <h2>{bow.name}</h2>
                    <span className={w.muted}>{bow.unsound ?? bow.archerName}</span>
                  </div>
                  <Tally count={of} />
                  <b className={s.sum} data-testid="sum">
                    {of}
                  </b>
                  <Key
                    disabled={of === 0}
                    aria-label={`−1: one arrow less of ${bow.name}`}
                    onClick={() => set(bow.id, of - 1)}
                  >
                    −1
                  </Key>
                  <Key
                    disabled={bow.unsound !== null}
                    aria-label={`+1: one arrow more of ${bow.name}`}
                    onClick={() => set(bow.id, of + 1)}
                  >
                    +1
                  </Key>
                  <Key
                    strong
                    className={s.end}
                    disabled={bow.unsound !== null}
                    aria-label={`An end, ${end}, of ${bow.name}`}
                    onClick={() => set(bow.id, of + Number(end))}
                  >
                    An end, {end}
                  </Key>
                </li>
              );
            })}
          </ul>
        </Body>
      </Main>
      <Foot
        trouble={acts.problem !== null}
        sentence={
          acts.problem?.message ??
          (sum === 0 ? nothingYet.sentence : `${day.length === 1 ? '1 bow' : `${day.length} bows`}, ${sum} shots.`)
        }
        reason={acts.problem ? 'What you counted stays here.' : nothingYet.reason}
        button={sum === 0 ? nothingYet.button : 'Keep the day'}
        busy={acts.busy}
        onGo={() => void keep()}
        alternative={sum === 0 ? null : 'Count anew'}
        onAlternative={() => {
          localStorage.removeItem(keptAs('range-day'));
          setShots({});
        }}
      />
    </Page>
  );
}
