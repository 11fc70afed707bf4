export { ShelfScreen as default } from '@/client/features/shelf';
