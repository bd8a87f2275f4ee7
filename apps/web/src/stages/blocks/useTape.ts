import { addressOf } from '@lattice/contract';
import { useEffect, useRef, useState } from 'react';

export type TapeState = 'off' | 'joining' | 'listening' | 'lost';

/** Listens to the tape's stream of readings while `on`; `lost` while it is out of reach, and joins it again when it is back. */
export function useTape(on: boolean, onReading: (millimetres: number) => void): TapeState {
  const [heard, setHeard] = useState<Exclude<TapeState, 'off'>>('joining');
  const latest = useRef(onReading);
  useEffect(() => {
    latest.current = onReading;
  });
  useEffect(() => {
    if (!on) return;
    let stream: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | null = null;
    const join = () => {
      stream = new EventSource(addressOf('tapeReadings', {}));
      stream.addEventListener('ready', () => setHeard('listening'));
      stream.addEventListener('reading', ({ data }: MessageEvent<string>) =>
        latest.current((JSON.parse(data) as { millimetres: number }).millimetres),
      );
      stream.onerror = () => {
        setHeard('lost');
        // A stream that was refused does not come back by itself.
        stream?.close();
        again = setTimeout(join, 1500);
      };
    };
    join();
    return () => {
      stream?.close();
      if (again) clearTimeout(again);
      setHeard('joining');
    };
  }, [on]);
  return on ? heard : 'off';
}
