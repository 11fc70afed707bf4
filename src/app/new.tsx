import { makeRoom } from '@/client/room';

export default makeRoom('NewPieceScreen');
