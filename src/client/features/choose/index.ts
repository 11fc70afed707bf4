export { ChooseScreen } from './choose-screen';
