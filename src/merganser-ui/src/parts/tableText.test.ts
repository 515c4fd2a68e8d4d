import { afterEach, describe, expect, it } from 'vitest';
import { cellsOf, csvOf, tabbedOf } from './tableText';

afterEach(() => (document.body.innerHTML = ''));

const table = (html: string) => {
  document.body.innerHTML = `<table>${html}</table>`;
  return document.querySelector('table')!;
};

describe('a table taken along', () => {
  it('says what is read in it, not its keys', () => {
    const rows = cellsOf(
      table(`<thead><tr><th><button>Number</button></th><th colspan="2">Weight</th></tr></thead>
      <tbody><tr><th scope="row">1<span class="visually-hidden">, an arrow</span></th>
      <td><input value="401.2"></td><td>gr <button>Take back</button></td></tr></tbody>`),
    );
    expect(rows).toEqual([
      ['Number', 'Weight', ''],
      ['1', '401.2', 'gr'],
    ]);
  });

  /** RFC 4180: a cell with a comma or a quotation mark stands in quotation marks, those in it are doubled. */
  it('is written as RFC 4180 has it', () => {
    expect(csvOf([['a', 'b, c', 'a 3/16 in "peep"']])).toBe('a,"b, c","a 3/16 in ""peep"""\n');
  });

  it('runs in no spreadsheet', () => {
    expect(csvOf([['=1+1', '+5 clicks', '-0.25', '+3', '@here']])).toBe("'=1+1,'+5 clicks,-0.25,+3,'@here\n");
    expect(tabbedOf([['=1+1', '2']])).toBe("'=1+1\t2");
  });
});
