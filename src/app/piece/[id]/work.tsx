export { WorkScreen as default } from '@/client/features/work';
