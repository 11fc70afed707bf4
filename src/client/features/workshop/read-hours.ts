import type { Hours } from '@/core/schedule';

type Stretch = Omit<Hours, 'day'>;

/** "19:00–21:00, 9–13" as stretches of time; an empty text is none. `null` where it cannot be read. */
export function readHours(text: string): Stretch[] | null {
  const parts = text
    .split(/[,;]/)
    .map((part) => part.trim())
    .filter(Boolean);
  const stretches = parts.map((part) => {
    const [from, to, more] = part.split(/\s*[-–—]\s*|\s+to\s+/).map(readClock);
    return from && to && more === undefined && from < to ? { from, to } : null;
  });
  return stretches.every((stretch) => stretch !== null) ? stretches : null;
}

function readClock(text: string): string | null {
  const match = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(text.trim());
  if (!match) return null;
  const [hour, minute] = [Number(match[1]), Number(match[2] ?? 0)];
  const valid = (hour < 24 && minute < 60) || (hour === 24 && minute === 0);
  return valid ? `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}` : null;
}

export const writeHours = (stretches: readonly Stretch[]): string =>
  stretches.map(({ from, to }) => `${from}–${to}`).join(', ');

export const HOURS_CURE = 'Write it as 19:00–21:00; several with a comma, nothing for no time.';
