import { NotFoundScreen } from '@/client/features/piece-frame';

export default NotFoundScreen;
