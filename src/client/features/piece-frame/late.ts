import { makeFrame } from '@/client/room';

/* What few visits show: it comes when it is first shown. */

export const WaysOn = makeFrame<{ children: string }>(async () => (await import('./ways-on')).WaysOn);
export const Guide = makeFrame<{ card: string }>(async () => (await import('./guide')).Guide);
