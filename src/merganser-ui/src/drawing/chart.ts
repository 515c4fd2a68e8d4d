/** A line through points, as a path. */
export function linePath(points: readonly (readonly [number, number] | null)[]): string {
  let pen = 'M';
  let path = '';
  for (const point of points) {
    if (point === null) {
      pen = 'M';
      continue;
    }
    path += `${pen}${Math.round(point[0] * 10) / 10} ${Math.round(point[1] * 10) / 10}`;
    pen = 'L';
  }
  return path;
}

/** Whole multiples of a step between two ends. */
export function ticksOf(low: number, high: number, step: number): number[] {
  const ticks: number[] = [];
  for (let k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9; k++) ticks.push(Math.round(k * step * 1e6) / 1e6);
  return ticks;
}

/** The nearest entry of an ascending list. */
export function nearestIndex(list: readonly number[], value: number): number {
  let best = 0;
  list.forEach((entry, i) => {
    if (Math.abs(entry - value) < Math.abs(list[best]! - value)) best = i;
  });
  return best;
}
