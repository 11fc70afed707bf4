export { UpdateBar } from './update-bar';
