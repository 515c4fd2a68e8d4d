import { useLayoutEffect, useRef, useState } from 'react';

interface Size {
  width: number;
  height: number;
}

/** How large the drawings of one first size stood last: one that is opened again is drawn once and not twice. */
const stood = new Map<string, Size>();

const sizeOf = (box: DOMRect): Size => ({
  width: Math.max(240, Math.round(box.width)),
  height: Math.max(200, Math.round(box.height)),
});
const widthOf = (box: DOMRect): Size => ({ width: sizeOf(box).width, height: 0 });

function useMeasured<T extends Element>(width: number, height: number, take: (box: DOMRect) => Size) {
  const ref = useRef<T>(null);
  const first = `${width} ${height}`;
  const [size, setSize] = useState<Size>(() => stood.get(first) ?? { width, height });
  useLayoutEffect(() => {
    const at = ref.current;
    if (!at) return;
    const measure = () => {
      const now = take(at.getBoundingClientRect());
      stood.set(first, now);
      setSize((before) => (before.width === now.width && before.height === now.height ? before : now));
    };
    measure();
    if (typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(measure);
    observer.observe(at);
    return () => observer.disconnect();
  }, [first, take]);
  return { ref, ...size };
}

/** The width in which a drawing stands, in CSS pixels. */
export const useWidth = <T extends HTMLElement>(fallback: number) => useMeasured<T>(fallback, 0, widthOf);

/** Width and height in which a drawing stands. */
export const useSize = <T extends Element>(width: number, height: number) => useMeasured<T>(width, height, sizeOf);
