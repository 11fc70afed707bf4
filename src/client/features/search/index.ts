export { GlossaryScreen } from './glossary-screen';
export { SearchScreen } from './search-screen';
