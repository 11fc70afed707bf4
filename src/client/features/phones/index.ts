export { PhonesScreen } from './phones-screen';
