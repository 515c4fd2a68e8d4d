import { useState } from 'react';
import { BowDrawing } from '../BowDrawing';
import { Key } from '../Buttons';
import { Column } from '../Columns';
import { Empty } from '../Empty';
import { Figure, FigureNote } from '../Figure';
import { Bullets, ListRow, Log } from '../List';
import { MenuKey } from '../MenuKey';
import { Caution, Fault, Note } from '../Note';
import { Popover } from '../Popover';
import { Scale } from '../Scale';
import { differs, Scroller, Table } from '../Table';
import { Term } from '../Term';
import { Part } from './Part';
import { figure } from './figure';
import w from '../words.module.css';

const kinds = ['compound', 'recurve', 'barebow', 'longbow'] as const;

export const Lists = () => (
  <Column label="Lists and tables">
    <h2>Lists and tables</h2>
    <Part name="ListRow: at rest, in work">
      <ListRow>Centre shot</ListRow>
      <ListRow here ruled>
        Cam timing
      </ListRow>
    </Part>
    <Part name="Log">
      <Log>
        <li>
          Rest 2 clicks up <small>21 Nov</small>
        </li>
        <li>
          Left yoke leg 1 half twist shorter <small>20 Nov</small>
        </li>
      </Log>
    </Part>
    <Part name="Bullets">
      <Bullets>
        <li>Target well behind the paper.</li>
        <li>A clear range.</li>
      </Bullets>
    </Part>
    <Part name="Table in a Scroller, its second line differs; as a card">
      <Scroller label="Arrows">
        <Table>
          <tbody>
            <tr>
              <th scope="row">Arrow 1</th>
              <td>409.0 gr</td>
            </tr>
            <tr className={differs}>
              <th scope="row">Arrow 2</th>
              <td>409.4 gr</td>
            </tr>
          </tbody>
        </Table>
      </Scroller>
      <Table kind="card">
        <tbody>
          <tr>
            <th scope="row">Brace height</th>
            <td>6 5/8 in</td>
          </tr>
        </tbody>
      </Table>
    </Part>
  </Column>
);

export const Said = () => (
  <Column label="What is said">
    <h2>What is said</h2>
    <Part name="Note: with a word, asking, Caution">
      <Note word="Again.">The string was changed.</Note>
      <Note word="Is that so?" act={<Key>Yes, keep it</Key>}>
        9 in is far from the maker’s figure.
      </Note>
      <Caution caution={{ text: 'The arrow is light for this bow.', refused: false }} />
      <Caution caution={{ text: 'The shaft ends behind the rest.', refused: true }} />
    </Part>
    <Part name="Fault">
      <Fault>1 to 500 shots.</Fault>
    </Part>
    <Part name="Words: muted, label, tabular, taken">
      <p className={w.muted}>Papers count by themselves.</p>
      <p className={w.label}>tail from the point’s hole</p>
      <p className={w.tabular}>1111.1 gr</p>
      <p className={w.taken}>taken: 100.2 gr</p>
    </Part>
    <Part name="Empty">
      <Empty>No shots in this set yet: mark one.</Empty>
    </Part>
  </Column>
);

export const Figures = () => (
  <Column label="Figures">
    <h2>Figures</h2>
    <Part name="Figure: with its change, waiting, missing, small with a note, tiny">
      <Figure figure={figure} since="kept" />
      <Figure figure={{ ...figure, name: 'waiting' }} stale />
      <Figure figure={{ ...figure, name: 'missing', text: null, missing: 'the draw weight is not measured' }} />
      <Figure figure={{ ...figure, name: 'small' }} size="small">
        <FigureNote>± 0.12 in</FigureNote>
      </Figure>
      <Figure figure={{ ...figure, name: 'tiny' }} size="tiny" />
    </Part>
  </Column>
);

export function Layers() {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Column label="Layers">
      <h2>Layers</h2>
      <Part name="Popover">
        <Key onClick={(event) => setAnchor(event.currentTarget)}>Open it</Key>
        <Popover anchor={anchor} onClose={() => setAnchor(null)} label="A small sheet">
          <h2>A small sheet</h2>
          <p>Esc closes it; the focus goes back.</p>
        </Popover>
      </Part>
      <Part name="MenuKey">
        <MenuKey
          label="Ways"
          links={[
            ['/parts', 'Compare'],
            ['/parts?way=files', 'Files'],
          ]}
        >
          Compare, files
        </MenuKey>
      </Part>
      <Part name="Term">
        <Term name="braceHeight" label="Brace height" />
      </Part>
    </Column>
  );
}

export const Drawings = () => (
  <Column label="Drawings">
    <h2>Drawings</h2>
    <Part name="BowDrawing: each kind, a left hand">
      {kinds.map((kind) => (
        <BowDrawing key={kind} kind={kind} hand="right" height={120} />
      ))}
      <BowDrawing kind="recurve" hand="left" height={120} />
    </Part>
    <Part name="Scale, with where it stood when the bow shot well">
      <Scale lower={-20} upper={20} at={3} good={-4} label="Rest: 3 clicks up" />
    </Part>
  </Column>
);
