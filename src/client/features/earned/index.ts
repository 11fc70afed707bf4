export { EarnedScreen } from './earned-screen';
