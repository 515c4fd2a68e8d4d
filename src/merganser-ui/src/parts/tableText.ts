/** What a spreadsheet would run as a formula; a plain number is none. */
const FORMULA = /^[=+\-@\t\r]/;
const NUMBER = /^[+-]?[\d.,]+$/;

/** The cells of a table as they are read: what is typed in a field counts, keys and hidden words do not. */
export function cellsOf(table: HTMLTableElement): string[][] {
  return [...table.rows].map((row) =>
    [...row.cells].flatMap((cell) => {
      const copy = cell.cloneNode(true) as HTMLElement;
      const typed = [...cell.querySelectorAll<HTMLInputElement | HTMLSelectElement>('input, select')];
      [...copy.querySelectorAll('input, select')].forEach((field, at) => {
        const from = typed[at]!;
        const ticked = from instanceof HTMLInputElement && from.type === 'checkbox';
        field.replaceWith(ticked ? (from.checked ? 'yes' : 'no') : from.value);
      });
      if (cell.tagName === 'TD') copy.querySelectorAll('button').forEach((key) => key.remove());
      copy.querySelectorAll('.visually-hidden, svg').forEach((hidden) => hidden.remove());
      copy.querySelectorAll('br').forEach((line) => line.replaceWith(' '));
      const text = (copy.textContent ?? '').replace(/\s+/g, ' ').trim();
      return [text, ...Array<string>(Math.max(0, cell.colSpan - 1)).fill('')];
    }),
  );
}

/** As comma-separated text; a cell that would run as a formula gets an apostrophe before it. */
export const csvOf = (rows: string[][]) =>
  rows
    .map((row) =>
      row
        .map((cell) => {
          const harmless = FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell;
          return /[",\n]/.test(harmless) ? `"${harmless.replaceAll('"', '""')}"` : harmless;
        })
        .join(','),
    )
    .join('\n') + '\n';

/** As it is pasted into a sheet: one cell a tab. */
export const tabbedOf = (rows: string[][]) =>
  rows
    .map((row) => row.map((cell) => (FORMULA.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell)).join('\t'))
    .join('\n');
