import type { ReactNode } from 'react';

interface Props<Row> {
  /** Each section with its name, in order. */
  names: readonly (readonly [section: string, name: string])[];
  rows: Row[];
  columns: number;
  className?: string;
  row: (row: Row) => ReactNode;
}

/** Rows of a table in sections, each under its name; one without rows is left out. */
export const Sections = <Row extends { section: string }>({ names, rows, columns, className, row }: Props<Row>) =>
  names
    .filter(([section]) => rows.some((one) => one.section === section))
    .map(([section, name]) => (
      <tbody key={section}>
        <tr className={className}>
          <th scope="rowgroup" colSpan={columns}>
            {name}
          </th>
        </tr>
        {rows.filter((one) => one.section === section).map(row)}
      </tbody>
    ));
