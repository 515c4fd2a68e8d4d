import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { archersQuery } from '../../api/queries';
import { Drawn } from '../../parts/Drawn';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { FileLink, Key } from '../../parts/Buttons';
import { Main, Page } from '../../parts/Page';
import { FindLine } from '../../parts/TextLine';
import { WayKey, Ways } from '../../parts/Ways';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape } from '../../shell/focus';
import { isPageKey, layerIsOpen } from '../../shell/keys';
import { ChangedPane } from './ChangedPane';
import { EventPane } from './EventPane';
import { BackPane, DuePane, NotePane, PhotographsPane, SessionsPane } from './OtherPanes';
import { Sign } from './Sign';
import { StoryList } from './StoryList';
import { StoryStrip } from './StoryStrip';
import { useStory, type Sign as SignName } from './useStory';
import s from './Story.module.css';

const SIGNS: [SignName, string][] = [
  ['setup', 'Set-up'],
  ['moves', 'Moves'],
  ['paper', 'Paper'],
  ['groups', 'Groups'],
  ['speed', 'Speed'],
  ['arrows', 'Arrows'],
  ['notes', 'Notes'],
];

type Pane = 'changed' | 'sessions' | 'due' | 'back' | 'note' | 'photo';

/** The story of a bow: what happened, hung on its string, and what it answers. */
export default function StoryPage() {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const work = useStory(bowId);
  const archers = useQuery(archersQuery);
  const [note, setNote] = useState({ text: '', by: '' });
  const { answers, list, signs, dates, setDates } = work;
  const pane = (search.get('show') ?? 'changed') as Pane;
  const picked = search.get('event');
  const happened = list.rows.find((row) => row.id === picked);
  const show = (pane: Pane) => {
    work.clear();
    setSearch(pane === 'changed' ? {} : { show: pane });
  };
  useEscape(happened !== undefined || pane === 'back' || pane === 'note', () => show('changed'));
  useEffect(() => {
    const days = answers?.days ?? [];
    const press = (event: KeyboardEvent) => {
      const which = '[]'.includes(event.key) ? 'then' : '{}'.includes(event.key) ? 'now' : null;
      if (!which || !isPageKey(event) || layerIsOpen() || days.length === 0) return;
      event.preventDefault();
      const at = days.findIndex((day) => day.at === (dates[which] ?? answers?.two[which]));
      const older = '[{'.includes(event.key);
      const to = Math.min(days.length - 1, Math.max(0, at + (older ? 1 : -1)));
      setDates({ ...dates, [which]: days[to]!.at });
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });
  const go = (action: string | null | undefined) =>
    action === 'back' ? show('back') : void navigate(`/bows/${bowId}/${action ?? 'bow'}`);
  const total = answers?.counts.reduce((sum, c) => sum + c.count, 0) ?? 0;
  const press = (sign: SignName, add: boolean) =>
    work.setSigns(
      add
        ? signs.includes(sign)
          ? signs.filter((one) => one !== sign)
          : [...signs, sign]
        : signs.length === 1 && signs[0] === sign
          ? []
          : [sign],
    );
  return (
    <Page>
      <ShellHead at="story" bowId={bowId} />
      <Main kind="ways" className={s.main}>
        <div className={s.bar}>
          <Ways beside label="What is told">
            <WayKey aria-pressed={signs.length === 0} onClick={() => work.setSigns([])}>
              All {answers && total}
            </WayKey>
            {SIGNS.map(([sign, word]) => (
              <WayKey
                key={sign}
                aria-pressed={signs.includes(sign)}
                onClick={(event) => press(sign, (event as unknown as React.MouseEvent).shiftKey)}
              >
                <Sign of={sign} /> {word} {answers && (answers.counts.find((c) => c.sign === sign)?.count ?? 0)}
              </WayKey>
            ))}
          </Ways>
          <FindLine
            label="Find in the story"
            placeholder="find in the story"
            value={work.find}
            onChange={work.setFind}
            maxLength={60}
          />
          <Key onClick={() => show('note')}>Add a note</Key>
        </div>
        <div className={s.page}>
          <div className={s.left}>
            {answers && answers.strip.tears.length > 0 && (
              <StoryStrip strip={answers.strip} then={answers.two.then} now={answers.two.now} />
            )}
            {!answers && <Drawn of="story" waits />}
            {answers && <StoryList work={work} picked={picked} onPick={(id) => setSearch({ event: id })} />}
          </div>
          <div className={s.right}>
            {answers && (
              <>
                {pane === 'note' ? (
                  <NotePane
                    {...note}
                    archers={(archers.data ?? []).map(({ id, archer }) => ({ id, name: archer.name }))}
                    onText={(text) => setNote({ ...note, text })}
                    onBy={(by) => setNote({ ...note, by })}
                    work={work}
                    onDone={() => {
                      setNote({ ...note, text: '' });
                      show('changed');
                    }}
                  />
                ) : happened ? (
                  <EventPane
                    bowId={bowId}
                    happened={happened}
                    onBack={() => show('changed')}
                    onTakeBack={() => void work.takeBack(happened.id).then((ok) => ok && show('changed'))}
                  />
                ) : pane === 'back' ? (
                  <BackPane work={work} answers={answers} onDone={() => show('changed')} />
                ) : (
                  <>
                    <ChoiceRow
                      label="What is asked"
                      value={pane}
                      onChange={(to) => show(to as Pane)}
                      choices={[
                        ['changed', 'What changed'],
                        ['sessions', 'Last sessions'],
                        ['due', `Due ${answers.due.length}`],
                        ['photo', 'Photographs'],
                      ]}
                    />
                    {pane === 'photo' ? (
                      <PhotographsPane bowId={bowId} />
                    ) : pane === 'sessions' ? (
                      <SessionsPane bowId={bowId} answers={answers} />
                    ) : pane === 'due' ? (
                      <DuePane bowId={bowId} answers={answers} work={work} />
                    ) : (
                      <ChangedPane answers={answers} work={work} />
                    )}
                    <p>
                      <FileLink href={`/api/bows/${bowId}/story.pdf`} download>
                        The last year to print (PDF)
                      </FileLink>
                    </p>
                  </>
                )}
              </>
            )}
          </div>
        </div>
      </Main>
      {!answers ? (
        <OpeningFoot opening="Opening the story …" what="The story" failed={[work.failed]} />
      ) : work.failed ? (
        <Foot
          trouble
          sentence={work.failed.message}
          reason="Nothing is lost: the story is in the data file."
          button="Try again"
          onGo={work.retry}
        />
      ) : (
        <Foot
          sentence={answers.next.sentence}
          reason={answers.next.reason}
          button={answers.next.button}
          guarded={pane === 'note'}
          onGo={() => go(answers.next.action)}
          alternative={answers.next.alternative}
          onAlternative={() => go(answers.next.alternativeAction)}
        />
      )}
    </Page>
  );
}
