import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** How wide an element is, in pixels, as the window and what stands beside it leave it; 0 until it is measured. */
export function useRoom<Of extends HTMLElement>(): [RefObject<Of | null>, number] {
  const element = useRef<Of>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const measured = element.current;
    if (measured === null) {
      return;
    }
    setWidth(measured.clientWidth);
    const observer = new ResizeObserver(() => setWidth(measured.clientWidth));
    observer.observe(measured);
    return () => observer.disconnect();
  }, []);
  return [element, width];
}
