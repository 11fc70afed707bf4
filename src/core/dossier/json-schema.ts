import { z } from 'zod';
import { dossierSchema } from './schema';

/**
 * The dossier as JSON Schema (draft 2020-12). Rules that tie fields together (an answer to its check, a reading to its
 * kind of test, a test to a zone) go beyond it and are checked by `readDossier`.
 */
export function makeDossierJsonSchema(): Record<string, unknown> {
  return { title: 'bricolage.dossier/1', ...z.toJSONSchema(dossierSchema, { io: 'input' }) };
}
