const HIGH_PX = 900;
const GAP_PX = 24;

/**
 * Two kept pictures as one PNG, as high as each other and with nothing of a camera's in it. They were written by this
 * server (`picture-decoder`), so no stranger's file is decoded here. Null where one of the files is lost.
 */
export async function drawSideBySide(before: string, after: string): Promise<Buffer | null> {
  const { default: sharp } = await import('sharp');
  try {
    const [left, right] = await Promise.all(
      [before, after].map((file) =>
        sharp(file).resize({ height: HIGH_PX }).png().toBuffer({ resolveWithObject: true }),
      ),
    );
    const width = left!.info.width + GAP_PX + right!.info.width;
    return await sharp({ create: { width, height: HIGH_PX, channels: 3, background: '#ffffff' } })
      .composite([
        { input: left!.data, left: 0, top: 0 },
        { input: right!.data, left: left!.info.width + GAP_PX, top: 0 },
      ])
      .png()
      .toBuffer();
  } catch {
    return null;
  }
}
