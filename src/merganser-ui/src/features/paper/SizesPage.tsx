import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { Drawn } from '../../parts/Drawn';
import { Select } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Empty } from '../../parts/Empty';
import { Main } from '../../parts/Page';
import { Table } from '../../parts/Table';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { FigureBand } from './FigureBand';
import { Pane } from './Pane';
import { SizesChart } from './SizesChart';
import { dayOf } from '../../units/days';
import { useSizes } from './useSizes';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import r from './ReadingPanel.module.css';
import s from './PaperPage.module.css';

type Kind = Schemas['ArrowKind'];

const kindWords: Partial<Record<Kind, string>> = { fletched: 'Fletched', bare: 'Bare shafts', broadhead: 'Broadheads' };
const ALL = '';

/** How well the archer shoots this bow: the size of groups day by day, days kept apart. */
export function SizesPage({ bowId }: { bowId: string }) {
  const navigate = useNavigate();
  const [kind, setKind] = useState<Kind>('fletched');
  const [yards, setYards] = useState(ALL);
  const [arrow, setArrow] = useState(ALL);
  const sizes = useSizes(bowId, {
    kind,
    yards: yards === ALL ? undefined : Number(yards),
    arrow: arrow === ALL ? undefined : arrow,
  });
  const back = () => void navigate(`/bows/${bowId}/groups`);
  if (!sizes.data)
    return (
      <>
        <Main kind="inset">
          <Drawn of="sizes" waits />
        </Main>
        <OpeningFoot
          opening="Reading the groups …"
          what="The sizes"
          failed={[sizes.error]}
          back={{ to: 'Back to the groups', go: back }}
        />
      </>
    );
  const { data } = sizes;
  const chosen = (next: Kind) => {
    setKind(next);
    setYards(ALL);
    setArrow(ALL);
  };
  return (
    <>
      <Main className={s.page}>
        <SizesChart sizes={data} />
        <Pane label="How well it is shot" roomy>
          {data.days.length > 0 ? (
            <h1 data-testid="words">{data.words}</h1>
          ) : (
            <Empty of="sizes" title={data.words}>
              Hits of groups, walk-backs and pins are read as they are marked.
            </Empty>
          )}
          {data.figures.length > 0 && (
            <div className={r.figures} data-testid="sizes-figures">
              {data.figures.map((figure) => (
                <Figure key={figure.name} figure={figure} size="small">
                  <FigureBand figure={figure} />
                </Figure>
              ))}
            </div>
          )}
          {data.test && <p className={w.muted}>{data.test}</p>}
          {data.strings && <p>{data.strings}</p>}
          {data.kinds.length > 1 && (
            <ChoiceRow<Kind>
              label="Kind of arrow"
              value={kind}
              choices={data.kinds.map((k) => [k!, kindWords[k!] ?? k!] as const)}
              onChange={chosen}
            />
          )}
          <div className={l.pair}>
            <Select
              label="From where"
              name="yards"
              value={yards}
              onChange={setYards}
              choices={[
                { value: ALL, label: `all distances, as at ${data.atText}` },
                ...data.distances.map((d) => ({ value: String(d.yards), label: d.name })),
              ]}
            />
            <Select
              label="Arrow"
              name="arrow"
              value={arrow}
              onChange={setArrow}
              choices={[
                { value: ALL, label: 'all arrows' },
                ...data.arrows.map((name) => ({ value: name, label: name })),
              ]}
            />
          </div>
          {data.days.length > 0 && (
            <Table>
              <thead>
                <tr>
                  <th scope="col">day</th>
                  <th scope="col">spread of a shot at {data.atText}</th>
                  <th scope="col">from</th>
                </tr>
              </thead>
              <tbody>
                {[...data.days].reverse().map((day) => (
                  <tr key={day.day}>
                    <th scope="row">{dayOf(day.day)}</th>
                    <td className={w.tabular}>{day.words}</td>
                    <td>{day.from}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          )}
          <p className={w.muted}>
            Days are kept apart, ends are read each about its own centre. Distances are made alike as an angle. An
            extreme spread grows with the number of arrows, so it is not shown.
          </p>
        </Pane>
      </Main>
      <Foot
        sentence={data.days.length === 0 ? 'Mark a group first.' : 'A group on another day tells more.'}
        reason="What is marked at a target is read here by itself."
        button="Back to the groups"
        onGo={back}
      />
    </>
  );
}
