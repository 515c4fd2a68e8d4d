/** Where the card of a bow's range is printed. */
export const cardOf = (bowId: string, arrow: string | null | undefined) =>
  `/api/bows/${bowId}/range-card.pdf${arrow ? `?arrow=${arrow}` : ''}`;

/** Where the sight tape is printed, as long as a bar that was measured asks for. */
export const tapeOf = (bowId: string, arrow: string | null | undefined, bar: string) => {
  const asked = new URLSearchParams();
  if (arrow) asked.set('arrow', arrow);
  if (bar.trim()) asked.set('bar', bar);
  return `/api/bows/${bowId}/tape.pdf${asked.size > 0 ? `?${asked}` : ''}`;
};
