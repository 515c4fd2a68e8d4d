/** A value on a bounded band: clamped so that a far value still shows at the edge. */
export function place(value: number, low: number, high: number, width: number): number {
  const share = (value - low) / (high - low);
  return Math.round(Math.min(1, Math.max(0, share)) * width * 100) / 100;
}
