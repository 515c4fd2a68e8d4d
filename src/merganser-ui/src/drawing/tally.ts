const BETWEEN = 6;
const GROUP = 38;

/** Tally marks: in fives, the fifth across the four before it. */
export function tallyPath(count: number, height: number): { path: string; width: number } {
  const marks = Array.from({ length: count }, (_, i) => {
    const left = Math.floor(i / 5) * GROUP + 5;
    const at = i % 5;
    return at === 4
      ? `M${left - 3} ${height - 6}L${left + 3 * BETWEEN + 3} 6`
      : `M${left + at * BETWEEN} 3V${height - 3}`;
  });
  return { path: marks.join(''), width: Math.max(GROUP, Math.ceil(count / 5) * GROUP) };
}
