import { useQuery } from '@tanstack/react-query';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../../api/client';
import { ShellHead } from '../../shell/ShellHead';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { arrowsQuery, useBow, useCatalogue } from '../../api/queries';
import { Drawn } from '../../parts/Drawn';
import { Main, Page } from '../../parts/Page';
import { ArrowEditor } from './ArrowEditor';
import { arrowWays } from './ArrowWays';
import { ArrowWayPage } from './ArrowWayPage';
import { FinderWay } from './finder/FinderWay';
import { classOf, parts, type Used } from './parts';
import { useNewArrow } from './useNewArrow';

/** The arrow of a bow: picks which one is on the bench, or starts the first. */
export default function ArrowPage() {
  const bowId = useParams().bowId!;
  const [search, setSearch] = useSearchParams();
  const arrow = useNewArrow(bowId);
  const navigate = useNavigate();
  const bow = useBow(bowId);
  const catalogue = useCatalogue(search.get('use') ?? undefined);
  const arrows = useQuery(arrowsQuery(bowId));
  const all = arrows.data ? sorted(arrows.data) : undefined;
  const asked = search.get('arrow');
  const found = all?.find((a) => a.id === asked);
  // One that was just begun stands in the address before it is in the list.
  const gone = Boolean(asked && all?.length && !found && !arrows.isFetching);
  const row = gone ? undefined : (found ?? arrows.data?.[0]);

  const empty = all?.length === 0;
  const suggestion = useQuery({
    queryKey: ['arrows', bowId, 'suggestion'],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/arrow-suggestion', { params: { path: { bowId } } })),
    enabled: empty,
  });
  const fit = suggestion.data;

  const way = arrowWays.find(([name]) => name === search.get('way'))?.[0] ?? 'build';

  const start = async () => {
    if (!bow.data || !catalogue.data) return;
    const like = row?.draft;
    const draft = like ? { ...like, name: `${like.name}, copy`.slice(0, 60) } : suggestion.data?.draft;
    if (!draft) return;
    const added = await arrow.begin(draft);
    if (added) setSearch({ arrow: added });
  };

  return (
    <Page>
      <ShellHead
        at="arrow"
        bowId={bowId}
        title={way === 'build' ? undefined : arrowWays.find(([name]) => name === way)![1]}
      />
      {all && bow.data && way === 'finder' ? (
        <FinderWay bowId={bowId} arrowId={row?.id} onOpened={(id) => setSearch({ arrow: id })} />
      ) : row && all && catalogue.data && bow.data && way !== 'build' ? (
        <ArrowWayPage
          key={`${row.id}-${row.version}-${way}`}
          bowId={bowId}
          way={way}
          row={row}
          arrows={all}
          catalogue={catalogue.data}
          goBuild={() => void arrows.refetch().then(() => setSearch({ arrow: row.id }))}
        />
      ) : row && all && catalogue.data && bow.data ? (
        <ArrowEditor
          key={row.id}
          bowId={bowId}
          row={row}
          arrows={all}
          catalogue={catalogue.data}
          use={used(search)}
          onUsed={() => setSearch({ arrow: row.id }, { replace: true })}
          onOpen={(id) => setSearch({ arrow: id })}
          onAnother={() => void start()}
          goPaper={() => void navigate(`/bows/${bowId}/paper`)}
          goCheck={(kind) => void navigate(`/bows/${bowId}/bow?check=${kind}`)}
        />
      ) : (
        <>
          <Main kind="inset">
            <Drawn of="arrow" waits={!empty && !gone} />
            {empty && (
              <>
                <h1 data-testid="suggestion">
                  {fit ? `To begin with: ${fit.words}` : suggestion.isError ? 'No part to begin with.' : 'Looking …'}
                </h1>
                {fit && (
                  <p>
                    A suggestion out of the catalogue: cut long on purpose, an ordinary point for such a bow, the shaft
                    by the spine that it needs. {fit.fits ? '' : 'No shaft of the catalogue fits better. '}
                    Every part can be changed on the drawing.
                  </p>
                )}
              </>
            )}
          </Main>
          {empty ? (
            <Foot
              sentence={arrow.problem?.message ?? 'No arrow yet: start one for this bow.'}
              reason={suggestion.isError ? suggestion.error.message : 'It begins with what fits this bow best.'}
              button="Start an arrow"
              busy={!catalogue.data || !fit}
              onGo={() => void start()}
              alternative="Find one in the catalogue"
              onAlternative={() => setSearch({ way: 'finder' })}
            />
          ) : gone ? (
            <Foot
              trouble
              sentence="There is no such arrow."
              reason="One that was thrown away lies in the bin for thirty days. The others stand as they are."
              button="To the bow’s arrow"
              onGo={() => setSearch({})}
              alternative="To the bin"
              onAlternative={() => void navigate('/copies')}
            />
          ) : (
            <OpeningFoot
              opening="Opening the arrow …"
              what="The arrow"
              failed={[bow.error, arrows.error, catalogue.error]}
            />
          )}
        </>
      )}
    </Page>
  );
}

/** A part that was sent here from the catalogue. */
function used(search: URLSearchParams): Used | null {
  const [kind, id] = [search.get('kind'), search.get('use')];
  const part = parts.find((p) => classOf(p.name) === kind);
  return part?.field && id ? { part: part.name, id } : null;
}

const sorted = (arrows: Schemas['ArrowRow'][]) => arrows.toSorted((a, b) => a.draft.name.localeCompare(b.draft.name));
