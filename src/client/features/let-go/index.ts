export { LetGoScreen } from './let-go-screen';
