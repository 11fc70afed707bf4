export { Shell as default } from '@/client/features/shell';
