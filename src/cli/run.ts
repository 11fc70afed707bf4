import { parseArgs } from 'node:util';
import { parseDossier, type Dossier } from '@/core/dossier';
import { fail, type Result } from '@/core/shared';
import type { Circumstance } from '@/core/survey';
import { explainProblem } from '@/words';
import { PHOTO_USAGE } from './photos';
import { reportAudit } from './reports/audit';
import { reportDiagnosis } from './reports/diagnosis';
import { reportPlan } from './reports/plan';
import { reportProof } from './reports/proof';
import { describeAudit, describeDiagnosis, describePlan, describeProof } from './text';
import { KEEPING_USAGE } from './usage';

export interface Io {
  readFile: (path: string) => string;
  out: (text: string) => void;
  err: (text: string) => void;
  /** The time, as an ISO instant: what has cured depends on it. */
  now: () => string;
}

interface Command {
  report: (dossier: Dossier, now: string, at: Circumstance) => unknown;
  text: (dossier: Dossier, now: string, at: Circumstance) => string;
}

const COMMANDS: Readonly<Record<string, Command>> = {
  diagnose: {
    report: (dossier, _now, at) => reportDiagnosis(dossier, at),
    text: (dossier, _now, at) => describeDiagnosis(reportDiagnosis(dossier, at)),
  },
  plan: { report: (dossier) => reportPlan(dossier), text: (dossier) => describePlan(reportPlan(dossier)) },
  proof: { report: reportProof, text: (dossier, now) => describeProof(reportProof(dossier, now)) },
  audit: { report: reportAudit, text: (dossier, now) => describeAudit(reportAudit(dossier, now)) },
  validate: { report: () => ({ valid: true }), text: () => 'valid' },
};

const USAGE = `usage: bricolage diagnose|plan|proof|audit|validate FILE… [--text] [--at bench|kerb]
Reads dossiers (bricolage.dossier/1); "-" is standard input. Prints JSON, or words with --text. At the kerb only looks
are proposed.
${PHOTO_USAGE}
${KEEPING_USAGE}`;

/** Runs one command line. Returns the exit code: 0 fine, 1 invalid input, 2 usage. */
export function runCommand(args: readonly string[], io: Io): 0 | 1 | 2 {
  const parsed = readArguments(args);
  if (typeof parsed === 'string') {
    io.err(parsed);
    io.err(USAGE);
    return 2;
  }
  const { command, files, asText, at } = parsed;
  const several = files.length > 1;
  let code: 0 | 1 = 0;
  for (const file of files) {
    const dossier = readFile(file, io);
    if (dossier.ok) {
      const report = asText
        ? command.text(dossier.value, io.now(), at)
        : JSON.stringify(command.report(dossier.value, io.now(), at), null, several ? 0 : 2);
      io.out(report);
      continue;
    }
    code = 1;
    const { problem } = dossier;
    const message = explainProblem(problem);
    if (several && !asText)
      io.out(JSON.stringify({ file, error: { code: problem.code, path: problem.path, message } }));
    io.err(`${file}: ${message}`);
  }
  return code;
}

function readArguments(
  args: readonly string[],
): { command: Command; files: string[]; asText: boolean; at: Circumstance } | string {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      options: { text: { type: 'boolean', default: false }, at: { type: 'string', default: 'bench' } },
      allowPositionals: true,
    });
    const [name, ...files] = positionals;
    const command = name && Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
    if (!command) return name ? `unknown command: ${name}` : 'a command is missing';
    if (files.length === 0) return 'a file is missing';
    const { at } = values;
    if (at !== 'bench' && at !== 'kerb') return `--at is bench or kerb, not ${at}`;
    return { command, files, asText: values.text, at };
  } catch (error) {
    return error instanceof Error ? error.message : 'wrong arguments';
  }
}

function readFile(file: string, io: Io): Result<Dossier> {
  try {
    return parseDossier(io.readFile(file), io.now());
  } catch {
    return fail('not_readable', '', { file });
  }
}
