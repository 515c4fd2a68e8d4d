import { useQueryClient } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { Foot } from '../../shell/Foot';
import { Body, Main } from '../../parts/Page';
import { ArrowWays, arrowWays, type ArrowWay } from './ArrowWays';
import { ChartPane } from './ChartPane';
import { ComparePane } from './ComparePane';
import { useArrowWork } from './useArrowWork';
import { VersionsPane } from './VersionsPane';
import { WeightsPane } from './WeightsPane';

interface Props {
  bowId: string;
  way: ArrowWay;
  row: Schemas['ArrowRow'];
  arrows: Schemas['ArrowRow'][];
  catalogue: Schemas['Catalogue'];
  goBuild: () => void;
}

const words: Record<ArrowWay, [string, string]> = {
  build: ['', ''],
  compare: [
    'Lay two to four arrows side by side.',
    'Kept versions are compared; an arrow never kept is compared as it is.',
  ],
  weights: [
    'Say what the arrow is for, then look at the weights.',
    'Each school is right about something: the figures say how much.',
  ],
  chart: ['Drag the dot to where the fit is good.', 'Err stiff rather than weak, above all with a fixed head.'],
  finder: ['', ''],
  versions: ['Open an earlier version, or take the arrow along as a file.', 'What was shot stays as it was.'],
};

/** The arrow seen another way than by building it. */
export function ArrowWayPage({ bowId, way, row, arrows, catalogue, goBuild }: Props) {
  const work = useArrowWork(bowId, row);
  const queries = useQueryClient();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('with')?.split(',') ?? arrows.slice(0, 3).map((a) => a.id);
  const view = work.figures.data;
  const [sentence, reason] = words[way];
  return (
    <>
      <Main kind="ways">
        <ArrowWays bowId={bowId} arrowId={row.id} way={way} />
        <h1 className="visually-hidden">{arrowWays.find(([name]) => name === way)![1]}</h1>
        <Body>
          {way === 'compare' && (
            <ComparePane
              bowId={bowId}
              arrows={arrows}
              chosen={chosen.filter((id) => arrows.some((a) => a.id === id))}
              onChoose={(ids) => setSearch({ arrow: row.id, way, with: ids.join(',') })}
            />
          )}
          {way === 'weights' && <WeightsPane bowId={bowId} grains={view?.summary.grains ?? null} />}
          {way === 'chart' && view && (
            <ChartPane
              bowId={bowId}
              draft={work.draft}
              catalogue={catalogue}
              arrow={view.arrow}
              openedId={work.openedId}
              onChange={work.change}
            />
          )}
          {way === 'versions' && (
            <VersionsPane
              row={row}
              onOpen={(draft) => {
                work.change(draft);
                goBuild();
              }}
              onBinned={() => {
                setSearch({});
                void queries.invalidateQueries();
              }}
            />
          )}
        </Body>
      </Main>
      {work.save.kind === 'lost' ? (
        <Foot
          trouble
          sentence="Kept here, not yet saved."
          reason={work.save.message}
          button="Try again"
          onGo={() => void work.retry()}
        />
      ) : (
        <Foot
          sentence={sentence}
          reason={reason}
          button="Back to the build"
          onGo={goBuild}
          alternative={work.canUndo ? 'Undo' : null}
          onAlternative={work.undo}
        />
      )}
    </>
  );
}
