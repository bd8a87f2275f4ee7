import { settingOf, type SettingKind } from '@lattice/core';
import { useMemo } from 'react';
import { outlinePath } from './paths.ts';

/** A setting drawn small by laying it out: so that its nature shows. */
export function SettingSample({ kind }: { kind: SettingKind }) {
  const centre = useMemo(() => {
    const setting = settingOf(kind);
    // Turned blocks show what they are with two; straight ones need three.
    const across = setting.onPoint ? 2 : 3;
    return setting.layOut({
      unit: 'in',
      block: { width: 10, height: 10 },
      grid: { across, down: across },
      options: setting.start('in'),
      seam: 0.25,
      origin: { x: 0, y: 0 },
    });
  }, [kind]);
  const room = Math.max(centre.width.value, centre.height.value) / 60;
  return (
    <svg
      viewBox={`${-room} ${-room} ${centre.width.value + 2 * room} ${centre.height.value + 2 * room}`}
      aria-hidden
    >
      {centre.pieces.map((piece) => (
        <path key={piece.id} className={piece.place === undefined ? '' : 'block'} d={outlinePath(piece)} />
      ))}
    </svg>
  );
}
