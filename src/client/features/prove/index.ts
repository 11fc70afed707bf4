export { ProveScreen } from './prove-screen';
