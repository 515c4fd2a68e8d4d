import { useLayoutEffect, useRef, useState } from 'react';

/** The width in which a drawing stands, in CSS pixels. */
export function useWidth<T extends HTMLElement>(fallback: number) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(fallback);
  useLayoutEffect(() => {
    const at = ref.current;
    if (!at) return;
    const measure = () => setWidth(Math.max(240, Math.round(at.getBoundingClientRect().width)));
    measure();
    if (typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(measure);
    observer.observe(at);
    return () => observer.disconnect();
  }, []);
  return { ref, width };
}

/** Width and height in which a drawing stands. */
export function useSize<T extends Element>(width: number, height: number) {
  const ref = useRef<T>(null);
  const [size, setSize] = useState({ width, height });
  useLayoutEffect(() => {
    const at = ref.current;
    if (!at) return;
    const measure = () => {
      const box = at.getBoundingClientRect();
      setSize({ width: Math.max(240, Math.round(box.width)), height: Math.max(200, Math.round(box.height)) });
    };
    measure();
    if (typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(measure);
    observer.observe(at);
    return () => observer.disconnect();
  }, []);
  return { ref, ...size };
}
