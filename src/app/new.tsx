export { NewPieceScreen as default } from '@/client/features/meet';
