export { NotFoundScreen as default } from '@/client/features/piece-frame';
