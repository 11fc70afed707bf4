import { makeRoom } from '@/client/room';

export default makeRoom(async () => (await import('@/client/rooms')).PutAwayScreen);
