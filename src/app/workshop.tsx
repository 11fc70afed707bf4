export { WorkshopScreen as default } from '@/client/features/workshop';
