export { TodayScreen } from './today-screen';
