import { useState } from 'react';
import { Link } from 'react-router';
import { Plain } from '../../parts/Buttons';
import { Field } from '../../parts/Field';
import { useEscape } from '../../shell/focus';
import { blank } from './WeighPane';
import type { Dozen, DozenWork, EntryInput } from './useDozen';
import s from './DozenPage.module.css';

interface Props {
  dozen: Dozen;
  way: string;
  lines: DozenWork['lines'];
  faults: Record<string, string[]>;
  enter: (dozenId: string, entry: EntryInput) => Promise<unknown>;
  onCopy: () => void;
}

/** What the dozen is, with the others of this bow; it is renamed, copied or put away here. */
export function DozenTitle({ dozen, way, lines, faults, enter, onCopy }: Props) {
  const [name, setName] = useState<string | null>(null);
  useEscape(name !== null, () => setName(null));
  const plan = (word: string, note: string) => enter(dozen.id, { ...blank, kind: 'plan', word, note });
  const rename = async () => {
    if (name !== null && (await plan('name', name))) setName(null);
  };
  const others = lines.filter((line) => line.id !== dozen.id);
  const away = others.filter((line) => line.archived);
  return (
    <div className={s.title}>
      <p>
        <b>{dozen.name}</b> {dozen.plan.arrows} arrows to {dozen.arrowName}, version {dozen.arrowVersion}.{' '}
        {dozen.archived && <em>Put away.</em>} {dozen.changed && <em>{dozen.changed}</em>}{' '}
        {[...others.filter((line) => !line.archived), ...away].map((line) => (
          <Link key={line.id} to={`?dozen=${line.id}&way=${way}`}>
            {line.name}, {line.arrows} arrows{line.archived && ', put away'}
          </Link>
        ))}
      </p>
      {name === null ? (
        <span className={s.acts}>
          <Plain onClick={() => setName(dozen.name)}>Rename</Plain>
          <Plain onClick={onCopy}>Copy</Plain>
          <Plain onClick={() => void plan('archived', dozen.archived ? '' : 'yes')}>
            {dozen.archived ? 'Take out again' : 'Put away'}
          </Plain>
        </span>
      ) : (
        <span className={s.acts}>
          <Field
            label="Name of the dozen"
            name="rename"
            value={name}
            onChange={setName}
            onEnter={() => void rename()}
            fault={faults.note?.[0]}
            autoFocus
          />
          <Plain onClick={() => void rename()}>Keep the name</Plain>
          <Plain onClick={() => setName(null)}>Leave it</Plain>
        </span>
      )}
    </div>
  );
}
