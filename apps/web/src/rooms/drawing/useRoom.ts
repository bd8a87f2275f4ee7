import { useLayoutEffect, useState } from 'react';

interface Room {
  readonly width: number;
  readonly height: number;
}

/** Size of an element in CSS pixels, kept up with; zero until it is known, which is before it is first painted. */
export function useRoom(element: HTMLElement | null): Room {
  const [room, setRoom] = useState<Room>({ width: 0, height: 0 });
  useLayoutEffect(() => {
    if (!element) return;
    const measure = () => {
      const { clientWidth: width, clientHeight: height } = element;
      setRoom((had) => (had.width === width && had.height === height ? had : { width, height }));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [element]);
  return room;
}
