import type { Experience } from '../dossier';
import { TEST_KIND_FACTS, type TestKind } from '../knowledge';

/** What a kind of test speaks of; null for those that speak of hardness or cure only. */
export const modeOf = (kind: TestKind): Experience['mode'] | null => MODES[TEST_KIND_FACTS[kind].shows];
const MODES = { bleed: 'bleed', grip: 'adhesion', cure: null } as const;
