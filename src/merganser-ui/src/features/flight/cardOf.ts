/** Where the card of a bow's range is printed. */
export const cardOf = (bowId: string, arrow: string | null | undefined, marks = '') =>
  `/api/bows/${bowId}/range-card.pdf${asked({ arrow, marks: marks.trim() })}`;

/** Where the sight tape is printed, as long as a bar that was measured asks for. */
export const tapeOf = (bowId: string, arrow: string | null | undefined, bar: string, marks: string) =>
  `/api/bows/${bowId}/tape.pdf${asked({ arrow, bar: bar.trim(), marks: marks.trim() })}`;

function asked(of: Record<string, string | null | undefined>): string {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(of)) if (value) query.set(name, value);
  return query.size > 0 ? `?${query}` : '';
}
