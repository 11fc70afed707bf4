export { FindingsScreen } from './findings-screen';
