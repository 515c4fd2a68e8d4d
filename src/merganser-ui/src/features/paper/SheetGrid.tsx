import type { ReactNode } from 'react';

/** Half-inch grid, heavier each inch, with the four directions named. */
export function SheetGrid({
  width,
  height,
  cx,
  cy,
  px,
  under,
}: {
  width: number;
  height: number;
  cx: number;
  cy: number;
  px: number;
  /** What lies on the paper, under its lines. */
  under?: ReactNode;
}) {
  const step = px >= 96 ? px / 2 : px;
  const lines = [];
  for (let i = Math.ceil((0 - cx) / step); cx + i * step <= width; i++)
    lines.push({ key: `x${i}`, d: `M${cx + i * step} 0V${height}`, heavy: i === 0 });
  for (let i = Math.ceil((0 - cy) / step); cy + i * step <= height; i++)
    lines.push({ key: `y${i}`, d: `M0 ${cy + i * step}H${width}`, heavy: i === 0 });
  return (
    <g>
      <rect width={width} height={height} fill="var(--paper)" />
      {under}
      {lines.map((line) => (
        <path key={line.key} d={line.d} stroke="var(--paper-line)" strokeWidth={line.heavy ? 2 : 1} fill="none" />
      ))}
      <text x={cx} y="72" textAnchor="middle" fontSize="14">
        high
      </text>
      <text x={cx} y={height - 8} textAnchor="middle" fontSize="14">
        low
      </text>
      <text x="8" y={cy - 6} fontSize="14">
        left
      </text>
      <text x={width - 8} y={cy - 6} textAnchor="end" fontSize="14">
        right
      </text>
    </g>
  );
}
