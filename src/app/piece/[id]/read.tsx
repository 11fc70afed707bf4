export { ReadScreen as default } from '@/client/features/read';
