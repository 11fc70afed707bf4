export { AheadScreen as default } from '@/client/features/ahead';
