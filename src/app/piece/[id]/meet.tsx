export { MeetScreen as default } from '@/client/features/meet';
