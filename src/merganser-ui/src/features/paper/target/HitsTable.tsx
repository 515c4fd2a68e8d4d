import { useId, useState } from 'react';
import { QUEUED } from '../../../api/useActs';
import { Key } from '../../../parts/Buttons';
import { FileText } from '../../../parts/FileText';
import { Fold } from '../../../parts/Fold';
import { Fault } from '../../../parts/Note';
import type { Paper, ShotSet } from '../paperTypes';
import type { PaperWork } from '../usePaperWork';
import w from '../../../parts/words.module.css';
import s from './HitsTable.module.css';

interface Props {
  paper: Paper;
  set: ShotSet;
  work: Pick<PaperWork, 'busy' | 'faults' | 'problem' | 'hitsTable'>;
  onTaken: (after: Paper) => void;
}

/** Hits of a target as a table: taken along, and taken in from elsewhere, all of it or nothing. */
export function HitsTable({ paper, set, work, onTaken }: Props) {
  const [text, setText] = useState('');
  const id = useId();
  const faults = work.faults.text ?? [];
  const takeIn = async () => {
    const after = await work.hitsTable(set.id, text);
    if (!after) return;
    setText('');
    if (after !== QUEUED) onTaken(after);
  };
  return (
    <section className={s.table} data-testid="hits-table">
      <a href={`/api/papers/${paper.id}/hits.csv`} download={`hits-${paper.startedAt.slice(0, 10)}.csv`}>
        All hits as a table (CSV)
      </a>
      <Fold words="Take in a table of hits">
        <p className={w.muted} id={`${id}-how`}>
          The first line names the columns: <code>right,up</code> and, where there is more to say, arrow, number,
          flight, distance, way, sightFor, slant. A unit may stand in the head, as <code>right (cm)</code>, or in a
          cell.
        </p>
        <textarea
          className={s.text}
          aria-label="Table of hits"
          aria-describedby={`${id}-how`}
          aria-invalid={faults.length > 0 || undefined}
          rows={6}
          spellCheck={false}
          value={text}
          onChange={(event) => setText(event.target.value)}
          data-owns-keys
        />
        <FileText label="Table of hits as a file" onText={setText} />
        {faults.slice(0, MOST).map((fault) => (
          <Fault key={fault}>{fault}</Fault>
        ))}
        {faults.length > MOST && <p className={w.muted}>and {faults.length - MOST} lines more</p>}
        <Key disabled={work.busy || text.trim() === ''} onClick={() => void takeIn()}>
          Take these hits in
        </Key>
      </Fold>
    </section>
  );
}

/** Lines with something wrong that are listed. */
const MOST = 5;
