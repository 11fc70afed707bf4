export { ChooseScreen as default } from '@/client/features/choose';
