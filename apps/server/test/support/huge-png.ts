import sharp from 'sharp';

/** A tiny file whose head promises 30,000 × 30,000 dots. */
export async function hugePng(): Promise<Buffer> {
  const png = Buffer.from(
    await sharp({ create: { width: 8, height: 8, channels: 3, background: '#fff' } })
      .png()
      .toBuffer(),
  );
  png.writeUInt32BE(30_000, 16);
  png.writeUInt32BE(30_000, 20);
  png.writeUInt32BE(crc32(png.subarray(12, 29)), 29);
  return png;
}

/** The check sum of a PNG chunk (ISO/IEC 15948, annex D). */
function crc32(bytes: Buffer): number {
  let crc = 0xffffffff;
  for (const byte of bytes) {
    crc ^= byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
  }
  return (crc ^ 0xffffffff) >>> 0;
}
