export { escapeXml } from './escape-xml';
export { describeChance, describeShare, formatChance, formatChanceRange } from './frequency';
export { lowerFirst, upperFirst } from './letters';
export { latestOf } from './moments';
export { fail, PROBLEM_CODES, succeed, type Problem, type ProblemCode, type Result } from './problem';
export { drawIndex, makeRandom } from './random';
export { formatArea, formatVolume, type Units } from './units';
export { KEPT_SIDE_PX, MOST_PIXELS } from './picture-limits';
export { bodyOf, putById, type CarriedRecord, type ChangeRecord } from './change-record';
