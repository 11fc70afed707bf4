export { NewsBars } from './news-bars';
