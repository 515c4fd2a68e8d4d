import { useEffect, useRef, useState } from 'react';
import { Empty } from '../../parts/Empty';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { FileLink, Key, Plain } from '../../parts/Buttons';
import { Column, Columns } from '../../parts/Columns';
import { Field } from '../../parts/Field';
import { Note } from '../../parts/Note';
import { Scroller, Table, differs } from '../../parts/Table';
import { useFigures } from '../../units/UnitsContext';
import { cardOf, tapeOf } from './cardOf';
import { Tape } from './Tape';
import type { Flight, FlightWork } from './useFlight';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';

interface Props {
  bowId: string;
  view: Flight;
  work: FlightWork;
  /** The tape is to be printed: its field gets the focus. */
  printing: boolean;
}

/** Marks of the sight: the tape, what was proven, and the page to print. */
export function MarksPane({ bowId, view, work, printing }: Props) {
  const [bar, setBar] = useState('');
  const print = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (printing) print.current?.querySelector<HTMLElement>('a')?.focus();
  }, [printing]);
  return (
    <>
      <h1>{view.fitted}</h1>
      <Tape view={view} />
      {view.pinsTooClose && <p>{view.pinsTooClose}</p>}
      <Columns bare>
        <Column label="A mark">
          <NewMark work={work} />
          <div ref={print}>
            <h2>Print the tape</h2>
            <p className={w.muted}>
              In true size, with a bar to check. Where the bar measured something else on paper, type it: the next print
              is set right by it.
            </p>
            <Field
              label="The bar measured"
              name="bar"
              quantity="length"
              value={bar}
              onChange={setBar}
              hint="empty for a first print"
            />
            <div className={l.row}>
              <FileLink href={tapeOf(bowId, view.arrowId, bar, work.marks)} target="_blank" rel="noreferrer">
                Sight tape (PDF)
              </FileLink>
              <FileLink href={cardOf(bowId, view.arrowId, work.marks)} target="_blank" rel="noreferrer">
                Range card (PDF)
              </FileLink>
            </div>
          </div>
        </Column>
        <Column label="What was proven">
          <h2>Proven on the range</h2>
          <Proven view={view} work={work} />
        </Column>
        <Column label="The marks">
          <h2>Marks</h2>
          <Field
            label="Marks for"
            name="marks"
            value={work.marks}
            onChange={work.setMarks}
            fault={work.marksFault}
            hint="every 5; another step, or your own: 12, 18, 25"
          />
          <MarkTable view={view} />
        </Column>
      </Columns>
    </>
  );
}

/** A mark, or a speed down range, as it is typed. */
function NewMark({ work }: { work: FlightWork }) {
  const [kind, setKind] = useState<'mark' | 'speed'>('mark');
  const [distance, setDistance] = useState('');
  const [value, setValue] = useState('');
  const missing = distance.trim() === '' || value.trim() === '';
  const keep = async () => {
    if (missing || !(await work.prove({ kind, distance, value }))) return;
    setDistance('');
    setValue('');
    document.querySelector<HTMLElement>('[name=distance]')?.focus();
  };
  return (
    <>
      <h2>Write down a mark</h2>
      <ChoiceRow
        label="What was proven"
        value={kind}
        choices={[
          ['mark', 'Mark of the sight'],
          ['speed', 'Speed down range'],
        ]}
        onChange={setKind}
      />
      <Field
        label="Distance"
        name="distance"
        quantity="distance"
        value={distance}
        onChange={setDistance}
        fault={work.faults.distance?.[0]}
        first
      />
      <Field
        label={kind === 'mark' ? 'Place of the pin on its bar' : 'Speed there'}
        name="value"
        quantity={kind === 'mark' ? 'length' : 'speed'}
        value={value}
        onChange={setValue}
        onEnter={() => void keep()}
        fault={work.faults.value?.[0]}
        hint={kind === 'mark' ? 'from anywhere on the bar, always from the same place' : 'second chronograph'}
      />
      <div className={l.row}>
        <Key disabled={work.busy || missing} onClick={() => void keep()}>
          Keep it
        </Key>
      </div>
    </>
  );
}

function Proven({ view, work }: { view: Flight; work: FlightWork }) {
  const { figure } = useFigures();
  const [given, setGiven] = useState<Flight['proven'][number] | null>(null);
  const put = (mark: Flight['proven'][number], value: string) =>
    work.prove({ kind: mark.kind, distance: mark.distance, value });
  return (
    <>
      {given && (
        <div className={l.row} role="status">
          <span>The mark at {figure(given.yards, 'yd', 0)} was given up.</span>
          <Plain onClick={() => void put(given, given.typed).then((kept) => kept && setGiven(null))}>Put it back</Plain>
        </div>
      )}
      {view.proven.length === 0 && (
        <Empty of="tape">
          Nothing yet. Shoot the nearest and the farthest distance that you shoot, six arrows each, and read the sight’s
          bar at both.
        </Empty>
      )}
      {view.proven.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th scope="col">at</th>
              <th scope="col">proven</th>
              <th scope="col">off the tape</th>
              <th scope="col">
                <span className="visually-hidden">Give it up</span>
              </th>
            </tr>
          </thead>
          <tbody data-testid="proven">
            {view.proven.map((mark) => (
              <tr key={mark.kind + mark.yards}>
                <th scope="row">{figure(mark.yards, 'yd', 0)}</th>
                <td className={w.tabular}>{mark.typed}</td>
                <td className={w.tabular}>{mark.off}</td>
                <td>
                  <Plain
                    disabled={work.busy}
                    aria-label={`Give it up: ${mark.distance}`}
                    onClick={() => void put(mark, '').then((kept) => kept && setGiven(mark))}
                  >
                    Give it up
                  </Plain>
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {view.proven.map(
        (mark) =>
          mark.words && (
            <Note key={mark.yards} word="Look again.">
              {mark.words}
            </Note>
          ),
      )}
    </>
  );
}

const MarkTable = ({ view }: { view: Flight }) => (
  <Scroller label="Marks by distance">
    <Table>
      <thead>
        <tr>
          <th scope="col">distance</th>
          <th scope="col">mark</th>
          <th scope="col">±</th>
          <th scope="col">from the last</th>
        </tr>
      </thead>
      <tbody data-testid="marks">
        {view.marks.map((mark) => (
          <tr key={mark.yards} className={mark.own ? differs : undefined}>
            <th scope="row">
              {mark.distance}
              {mark.own && ' ●'}
            </th>
            <td className={w.tabular}>{mark.text}</td>
            <td className={w.tabular}>{mark.plus}</td>
            <td className={w.tabular}>{mark.gap}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  </Scroller>
);
