export * from './change';
export { formatPath, parseDossier, readDossier, readWith } from './read';
export { ASTM_A_CLASSES, ASTM_B_CLASSES, BLEED_MOMENTS, PENCIL_GRADES } from './reading';
export { isLeft, leaveZone, listTreated, lookOf, takeUpZone, wishLook, type Look } from './look';
export * from './schema';
export { foundLead, isTrueElsewhere, resolveAlike } from './alike';
export * from './shelf';
