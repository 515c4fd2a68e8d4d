import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, isMissing } from '../../api/client';
import { Drawn } from '../../parts/Drawn';
import { Main } from '../../parts/Page';
import { WayKey, Ways } from '../../parts/Ways';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { dayOf } from '../../units/days';
import { FilmStrip } from './FilmStrip';
import { withoutMove, type Paper } from './paperTypes';
import { ReadingPanel } from './ReadingPanel';
import { SetSheet } from './SetSheet';
import { ShotsPanel } from './ShotsPanel';
import s from './PaperPage.module.css';

interface Props {
  paperId: string;
  onList: () => void;
  onNewest: () => void;
}

/** An earlier paper as it was: to look at, not to work on. */
export function PastPaper({ paperId, onList, onNewest }: Props) {
  const paper = useQuery({
    queryKey: ['paper', paperId],
    queryFn: () => answer(api.GET('/api/papers/{id}', { params: { path: { id: paperId } } })),
  });
  if (!paper.data)
    return (
      <>
        <Main kind="inset">
          <Drawn of="paper" waits />
        </Main>
        {isMissing(paper.error) ? (
          <Foot
            trouble
            sentence="This paper is not on record."
            reason="The others stand as they are."
            button="To the papers"
            onGo={onList}
          />
        ) : (
          <OpeningFoot
            opening="Opening the paper …"
            what="The paper"
            failed={[paper.error]}
            back={{ to: 'To the papers', go: onList }}
          />
        )}
      </>
    );
  // No move is expected after it: what was advised then is not drawn.
  return <Sets key={paperId} paper={withoutMove(paper.data)} onList={onList} onNewest={onNewest} />;
}

function Sets({ paper, onList, onNewest }: { paper: Paper } & Pick<Props, 'onList' | 'onNewest'>) {
  const [shownId, setShownId] = useState(paper.sets.at(-1)!.id);
  const [way, setWay] = useState<'reading' | 'shots'>('reading');
  const shown = paper.sets.find((set) => set.id === shownId)!;
  return (
    <>
      <Main className={s.page}>
        <SetSheet paper={paper} set={shown} />
        <div className={s.panes}>
          <Ways beside label="What to look at">
            <WayKey aria-pressed={way === 'reading'} onClick={() => setWay('reading')}>
              Reading
            </WayKey>
            <WayKey aria-pressed={way === 'shots'} onClick={() => setWay('shots')}>
              Shots, {shown.shots.length}
            </WayKey>
            <WayKey onClick={onList}>Papers</WayKey>
          </Ways>
          {way === 'reading' ? (
            <ReadingPanel paper={paper} set={shown} past />
          ) : (
            <ShotsPanel bowId={paper.bowId} set={shown} />
          )}
        </div>
        <div className={s.strip}>
          <FilmStrip paper={paper} shownId={shown.id} onShow={setShownId} />
        </div>
      </Main>
      <Foot
        sentence={`This is the paper of ${dayOf(paper.startedAt)}, with ${paper.arrowName}.`}
        reason="It is on record as it was shot. What is shot now goes on the newest one."
        button="Back to the newest"
        onGo={onNewest}
        alternative="All papers"
        onAlternative={onList}
      />
    </>
  );
}
