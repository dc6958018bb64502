import { useCallback, useState } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The inner size of an element in pixels, kept up to date; zero before it is laid out. */
export function useSize<E extends HTMLElement>(): [
  (element: E | null) => (() => void) | undefined,
  Size,
] {
  const [size, setSize] = useState<Size>({ width: 0, height: 0 });
  const ref = useCallback((element: E | null) => {
    if (!element) return undefined;
    const measure = () => {
      const { clientWidth: width, clientHeight: height } = element;
      setSize((old) => (old.width === width && old.height === height ? old : { width, height }));
    };
    // It is told of its size when the page is laid out; to ask for it here would lay out a page that is still put together.
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
