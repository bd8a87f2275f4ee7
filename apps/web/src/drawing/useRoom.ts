import { useEffect, useState } from 'react';

/** Size of an element in CSS pixels, kept up with; zero until it is known. */
export function useRoom(element: HTMLElement | null): { width: number; height: number } {
  const [room, setRoom] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      const { width, height } = entry!.contentRect;
      setRoom({ width: Math.floor(width), height: Math.floor(height) });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [element]);
  return room;
}
