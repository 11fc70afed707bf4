import type { Lab } from './convert';

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const hueOf = (a: number, b: number): number =>
  a === 0 && b === 0 ? 0 : ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;

/**
 * Colour difference ΔE00 with all weights 1: CIEDE2000 (CIE 142, ISO/CIE 11664-6), in the notation of Sharma, Wu and
 * Dalal 2005. About 1 is just noticeable. Example: Lab(50, 2.6772, −79.7751) and (50, 0, −82.7485) → 2.0425.
 */
export function computeDeltaE00(first: Lab, second: Lab): number {
  const meanC = (Math.hypot(first.a, first.b) + Math.hypot(second.a, second.b)) / 2;
  const g = 0.5 * (1 - Math.sqrt(meanC ** 7 / (meanC ** 7 + 25 ** 7)));
  const a1 = (1 + g) * first.a;
  const a2 = (1 + g) * second.a;
  const c1 = Math.hypot(a1, first.b);
  const c2 = Math.hypot(a2, second.b);
  const h1 = hueOf(a1, first.b);
  const h2 = hueOf(a2, second.b);

  const deltaL = second.l - first.l;
  const deltaC = c2 - c1;
  const turn = h2 - h1;
  const deltaHue = c1 * c2 === 0 ? 0 : turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  const deltaH = 2 * Math.sqrt(c1 * c2) * Math.sin(radians(deltaHue / 2));

  const l = (first.l + second.l) / 2;
  const c = (c1 + c2) / 2;
  const h =
    c1 * c2 === 0 ? h1 + h2 : Math.abs(turn) <= 180 ? (h1 + h2) / 2 : (h1 + h2 + (h1 + h2 < 360 ? 360 : -360)) / 2;

  const t =
    1 -
    0.17 * Math.cos(radians(h - 30)) +
    0.24 * Math.cos(radians(2 * h)) +
    0.32 * Math.cos(radians(3 * h + 6)) -
    0.2 * Math.cos(radians(4 * h - 63));
  const rotation = 30 * Math.exp(-(((h - 275) / 25) ** 2));
  const rc = 2 * Math.sqrt(c ** 7 / (c ** 7 + 25 ** 7));
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2);
  const sc = 1 + 0.045 * c;
  const sh = 1 + 0.015 * c * t;
  const rt = -Math.sin(radians(2 * rotation)) * rc;
  return Math.sqrt((deltaL / sl) ** 2 + (deltaC / sc) ** 2 + (deltaH / sh) ** 2 + rt * (deltaC / sc) * (deltaH / sh));
}
