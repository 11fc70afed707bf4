export { judgeBleedGate, judgePrimeGate, treatmentKey, type Gate } from './gates';
export {
  countsFromHours,
  describeTreatment,
  estimateFilm,
  judgeTest,
  KIND_WORDS,
  PREP_LABELS,
  type JudgedTest,
} from './judge';
export { reportProof } from './report';
export * from './scales';
