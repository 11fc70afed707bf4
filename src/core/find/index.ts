export {
  findAll,
  findableTin,
  FOUND_KINDS,
  listFindable,
  matches,
  wordsOf,
  type Findable,
  type FoundKind,
} from './findable';
