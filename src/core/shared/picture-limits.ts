/** The longer side of a photograph that is kept and read, pixels: a reading can be made again from what is kept. */
export const KEPT_SIDE_PX = 2048;
/** A picture of more pixels is refused before it is unpacked. */
export const MOST_PIXELS = 60_000_000;
