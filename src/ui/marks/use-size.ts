import { useLayoutEffect, useState, type RefObject } from 'react';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Size of an element in whole CSS px, kept up to date. @param start taken until it is measured */
export function useSize(element: RefObject<HTMLElement | null>, start: Size): Size {
  const [size, setSize] = useState(start);
  useLayoutEffect(() => {
    const node = element.current;
    if (!node) return;
    const measure = () => {
      const width = Math.floor(node.clientWidth);
      const height = Math.floor(node.clientHeight);
      setSize((now) => (now.width === width && now.height === height ? now : { width, height }));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(node);
    return () => observer.disconnect();
  }, [element]);
  return size;
}
