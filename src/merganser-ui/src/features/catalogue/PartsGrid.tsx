import { observeElementRect, useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../../api/client';
import { Plain } from '../../parts/Buttons';
import { classes } from '../../parts/classes';
import { fieldText, fieldUnit, keptText, type Quantity, type Units } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import { usePartPages, type Wanted } from './usePartPages';
import w from '../../parts/words.module.css';
import s from './PartsGrid.module.css';

type Row = Schemas['ComponentView'];
type FieldSpec = Schemas['ComponentField'];

const ROW = 48;
const NAME = 'name';
/** A spine is a size's name: it is the same in every unit. */
const quantityOf = (field: FieldSpec): Quantity =>
  field.kind === 'number' && field.name !== 'spine' ? (field.quantity as Quantity) : 'number';

const unitOf = (field: FieldSpec, units: Units) =>
  field.kind !== 'number' || field.name === 'spine' ? '' : fieldUnit(quantityOf(field), units) || field.range.unit;

interface GridProps {
  wanted: Wanted;
  columns: FieldSpec[];
  open: string | null;
  onSort: (field: string) => void;
  onOpen: (row: Row) => void;
  onUse?: (row: Row) => void;
  /** One cell was typed anew; the answer tells whether it is kept. */
  onKeep: (row: Row, field: FieldSpec, text: string) => Promise<boolean>;
  onCount: (found: number, all: number) => void;
  /** What is wrong with what was typed, by field. */
  faults: Record<string, string[]>;
  /** An edit was given up. */
  onLeave: () => void;
}

/** A page of the server's list at a time, as many rows drawn as are seen; cells are walked and edited by keys. */
export function PartsGrid({
  wanted,
  columns: chosen,
  open,
  onSort,
  onOpen,
  onUse,
  onKeep,
  onCount,
  faults,
  onLeave,
}: GridProps) {
  const columns = [...chosen.filter((f) => f.name === NAME), ...chosen.filter((f) => f.name !== NAME)];
  const width = columns.reduce((sum, f) => sum + (f.name === NAME ? 300 : f.kind === 'number' ? 126 : 150), 0);
  const units = useUnits();
  const scroller = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState({ row: 0, column: 0 });
  const [editing, setEditing] = useState<string | null>(null);
  const goal = useRef<string | null>(null);
  const keeping = useRef(false);
  const [count, setCount] = useState(0);
  // eslint-disable-next-line react-hooks/incompatible-library -- what it hands out stays in this component
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 6,
    initialRect: { width: 1000, height: 600 },
    // A box of no height is one that is not laid out: the first rows are drawn all the same.
    observeElementRect: (instance, seen) => observeElementRect(instance, (rect) => rect.height > 0 && seen(rect)),
  });
  const list = JSON.stringify(wanted);
  const [listed, setListed] = useState(list);
  if (listed !== list) {
    setListed(list);
    setAt({ row: 0, column: 0 });
    setEditing(null);
  }
  useEffect(() => {
    scroller.current?.scrollTo?.({ top: 0 });
  }, [list]);
  const shown = rows.getVirtualItems();
  const { found, all, row } = usePartPages(wanted, shown[0]?.index ?? 0, shown.at(-1)?.index ?? 0);
  useEffect(() => {
    if (all === null) return;
    setCount(found);
    onCount(found, all);
  }, [found, all, onCount]);

  const go = (next: { row: number; column: number }) => {
    const to = {
      row: Math.min(Math.max(0, next.row), count - 1),
      column: Math.min(Math.max(0, next.column), columns.length - 1),
    };
    setAt(to);
    rows.scrollToIndex(to.row);
    goal.current = `${to.row}.${to.column}`;
  };
  // The focus follows when its cell is drawn, however late: a frame may come before that.
  useLayoutEffect(() => {
    const cell = goal.current && scroller.current?.querySelector<HTMLElement>(`[data-cell="${goal.current}"]`);
    if (!cell) return;
    goal.current = null;
    cell.focus();
  });
  const press = (event: KeyboardEvent<HTMLElement>) => {
    if (editing !== null || event.ctrlKey || event.metaKey || event.altKey) return;
    const step = STEPS[event.key];
    if (step) {
      event.preventDefault();
      go(step(at, count, columns.length));
    } else if (event.key === 'F2' || (event.key === 'Enter' && columns[at.column]?.name !== NAME)) {
      event.preventDefault();
      begin(at.row, at.column);
    } else if (event.key === 'Enter') {
      const part = row(at.row);
      if (part && event.target instanceof HTMLTableCellElement) onOpen(part);
    }
  };
  const begin = (line: number, column: number) => {
    const part = row(line);
    const field = columns[column];
    if (!part || !field || field.kind === 'choice') return;
    setAt({ row: line, column });
    setEditing(fieldText(part.fields[field.name] ?? '', quantityOf(field), units));
  };
  const keep = async (part: Row, field: FieldSpec) => {
    if (keeping.current) return;
    keeping.current = true;
    const text = keptText(editing ?? '', quantityOf(field), units);
    const kept = text === (part.fields[field.name] ?? '') || (await onKeep(part, field, text));
    keeping.current = false;
    if (!kept) return;
    setEditing(null);
    // Whoever went on to another cell, or out of the list, stays there.
    const now = document.activeElement;
    const other = now?.closest<HTMLElement>('[data-cell]')?.dataset.cell?.split('.').map(Number);
    if (other) setAt({ row: other[0]!, column: other[1]! });
    else if (!now || now === document.body || scroller.current?.contains(now)) go(at);
  };
  const before = shown[0]?.start ?? 0;
  const after = rows.getTotalSize() - (shown.at(-1)?.end ?? 0);
  return (
    <div ref={scroller} className={s.scroller} data-testid="parts-grid">
      <table
        role="grid"
        aria-label="Parts"
        aria-rowcount={count + 1}
        aria-colcount={columns.length}
        className={s.grid}
        style={{ minWidth: width }}
        onKeyDown={press}
      >
        <thead>
          <tr>
            {columns.map((field) => (
              <th
                key={field.name}
                scope="col"
                className={classes(s.head, field.name === NAME && s.name, field.kind === 'number' && s.number)}
                aria-sort={wanted.sort === field.name ? (wanted.down ? 'descending' : 'ascending') : 'none'}
              >
                <Plain onClick={() => onSort(field.name)}>
                  {field.label}
                  {unitOf(field, units) && ` ${unitOf(field, units)}`}
                  {wanted.sort === field.name && (wanted.down ? ' ↓' : ' ↑')}
                </Plain>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {before > 0 && <tr aria-hidden="true" style={{ height: before }} />}
          {shown.map(({ index }) => {
            const part = row(index);
            return (
              <tr
                key={index}
                aria-rowindex={index + 2}
                className={classes(part?.retired && s.retired, part?.id === open && s.open)}
                data-part={part?.id}
              >
                {columns.map((field, column) => {
                  const here = at.row === index && at.column === column;
                  const cell = {
                    'data-cell': `${index}.${column}`,
                    tabIndex: here ? 0 : -1,
                    onFocus: () => editing === null && setAt({ row: index, column }),
                    onDoubleClick: () => begin(index, column),
                  };
                  if (part && here && editing !== null)
                    return (
                      <td key={field.name} role="gridcell" className={s.editing}>
                        <input
                          autoFocus
                          aria-label={`${field.label} of ${part.fields[NAME]}`}
                          value={editing}
                          onFocus={(event) => event.currentTarget.select()}
                          onChange={(event) => setEditing(event.target.value)}
                          onKeyDown={(event) => {
                            if (event.key === 'Enter') void keep(part, field);
                            else if (event.key === 'Escape') {
                              event.stopPropagation();
                              setEditing(null);
                              onLeave();
                              go(at);
                            }
                          }}
                          aria-invalid={Boolean(faults[field.name])}
                          onBlur={() => void keep(part, field)}
                        />
                        {faults[field.name] && <small role="alert">{faults[field.name]![0]}</small>}
                      </td>
                    );
                  if (field.name === NAME)
                    return (
                      <th key={field.name} scope="row" className={s.name} {...cell}>
                        {part && (
                          <>
                            <Plain
                              tabIndex={-1}
                              aria-label={`Open ${part.fields[NAME]}`}
                              aria-expanded={open === part.id}
                              onClick={() => onOpen(part)}
                            >
                              {part.fields[NAME]}
                            </Plain>
                            {part.retired && <em> retired</em>}
                            {onUse && !part.retired && (
                              <Plain
                                tabIndex={-1}
                                aria-label={`Use ${part.fields[NAME]} in this arrow`}
                                onClick={() => onUse(part)}
                              >
                                use
                              </Plain>
                            )}
                          </>
                        )}
                      </th>
                    );
                  return (
                    <td
                      key={field.name}
                      role="gridcell"
                      className={field.kind === 'number' ? s.number : undefined}
                      {...cell}
                    >
                      {part ? fieldText(part.fields[field.name] ?? '', quantityOf(field), units) : '…'}
                    </td>
                  );
                })}
              </tr>
            );
          })}
          {after > 0 && <tr aria-hidden="true" style={{ height: after }} />}
        </tbody>
      </table>
      {all !== null && found === 0 && <p className={w.muted}>No such part. Add one, or import a table.</p>}
    </div>
  );
}

type Place = { row: number; column: number };
const PAGE_OF_ROWS = 10;
const STEPS: Record<string, (at: Place, rows: number, columns: number) => Place> = {
  ArrowDown: (at) => ({ ...at, row: at.row + 1 }),
  ArrowUp: (at) => ({ ...at, row: at.row - 1 }),
  ArrowRight: (at) => ({ ...at, column: at.column + 1 }),
  ArrowLeft: (at) => ({ ...at, column: at.column - 1 }),
  PageDown: (at) => ({ ...at, row: at.row + PAGE_OF_ROWS }),
  PageUp: (at) => ({ ...at, row: at.row - PAGE_OF_ROWS }),
  Home: (at) => ({ ...at, column: 0 }),
  End: (at, _, columns) => ({ ...at, column: columns - 1 }),
};
