/** What a step is, as far as it says what goes wrong at it. */
export interface KindOfStep {
  readonly id: string;
  /** A triangle is among its pieces. */
  readonly triangles: boolean;
  /** It has seams with many pieces along them. */
  readonly long: boolean;
}

/** What the trade says goes wrong, by the kind of step (common practice). */
export function goesWrong({ id, triangles, long }: KindOfStep): string[] {
  if (id === 'web')
    return [
      'Mark the first block of each row with a pin. When the bobbin runs out, the last seam that is whole is the place.',
      'Feel each crossing: a gap means it does not nest.',
    ];
  if (id === 'corners')
    return ['Its tips should stick out by the same at both ends: then it is in the middle.'];
  if (id.endsWith('-mitres'))
    return [
      'Begin a seam’s width from the inner corner, never in it; fold the quilt so that both strips lie on one another.',
    ];
  if (id.startsWith('border'))
    return [
      'A long border drags: fold the quilt like a fan beside the machine, and begin with a full bobbin.',
      'Pin both ends and the middle, then between; ease the quilt to the border, never the border to the quilt.',
    ];
  if (id.startsWith('pairs'))
    return [
      'A strip that comes out short is eased, not replaced. Cut batting ends back before sewing; marks on the strip meet the sashes of both rows.',
    ];
  if (triangles)
    return [
      'Triangles stretch: starch the cloth before they are cut, handle them little, press straight down. Their tips should stick out a seam’s width at both ends.',
    ];
  if (long)
    return [
      'A pin on both sides of every crossing; every block along a long sash gets one, for strips stretch.',
      'Where rows do not meet their sash, take slack up by lifting the piece, not by pulling.',
    ];
  return [
    'A scrap as leader and ender keeps threads from being swallowed.',
    'Lay the pieces out in their order before you sew; a block turned the wrong way shows here for the last time.',
  ];
}
