export { TodayScreen as default } from '@/client/features/today';
