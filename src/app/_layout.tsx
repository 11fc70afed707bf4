import { makeFrame } from '@/client/room';

export default makeFrame(async () => (await import('@/client/features/shell')).Shell);
