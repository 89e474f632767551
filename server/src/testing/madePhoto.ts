import sharp from 'sharp';

/** A real picture with what a camera writes into it: turned by a quarter, with a place and a device. */
export async function madePhoto({
  width = 40,
  height = 24,
  kind = 'jpeg',
  seed = 0,
}: { width?: number; height?: number; kind?: 'jpeg' | 'png'; seed?: number } = {}): Promise<Uint8Array> {
  const image = sharp({
    create: { width, height, channels: 3, background: { r: (40 + 37 * seed) % 256, g: 90, b: 120 } },
  })
    .composite([
      { input: { create: { width: 4, height: 4, channels: 3, background: '#ff0000' } }, left: 0, top: 0 },
    ])
    .withExif({
      IFD0: { Make: 'Tarncam', Model: 'T1', Orientation: '6' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 33/1 0/1' },
    })
    .withMetadata({ orientation: 6 });
  return new Uint8Array(await (kind === 'jpeg' ? image.jpeg() : image.png()).toBuffer());
}
