export { ProveScreen as default } from '@/client/features/prove';
