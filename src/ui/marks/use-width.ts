import { useLayoutEffect, useState, type RefObject } from 'react';

/** Width of an element in CSS px, kept up to date. @param start taken until it is measured */
export function useWidth(element: RefObject<HTMLElement | null>, start: number): number {
  const [width, setWidth] = useState(start);
  useLayoutEffect(() => {
    const node = element.current;
    if (!node) return;
    const measure = () => setWidth(Math.floor(node.clientWidth));
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(node);
    return () => observer.disconnect();
  }, [element]);
  return width;
}
