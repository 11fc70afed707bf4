export { FindingsScreen as default } from '@/client/features/findings';
