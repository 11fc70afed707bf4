export { PiecesScreen as default } from '@/client/features/pieces';
