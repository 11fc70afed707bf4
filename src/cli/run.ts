import { parseArgs } from 'node:util';
import { parseDossier, type Dossier } from '@/core/dossier';
import { parseMixRequest } from '@/core/mix';
import { fail, succeed, type Problem, type Result } from '@/core/shared';
import type { Circumstance } from '@/core/survey';
import { explainProblem } from '@/words';
import { PHOTO_USAGE } from './photos';
import { reportAudit } from './reports/audit';
import { reportDiagnosis } from './reports/diagnosis';
import { reportMix } from './reports/mix';
import { reportPlan } from './reports/plan';
import { reportPrice } from './reports/price';
import { reportProof } from './reports/proof';
import { describeAudit, describeDiagnosis, describeMix, describePlan, describePrice, describeProof } from './text';
import { KEEPING_USAGE } from './usage';

export interface Io {
  readFile: (path: string) => string;
  out: (text: string) => void;
  err: (text: string) => void;
  /** The time, as an ISO instant: what has cured depends on it. */
  now: () => string;
}

/** What is said on the line beside the command and its files. */
interface Asked {
  at: Circumstance;
  /** Of draws: the same seed gives the same figures. */
  seed: number;
}

interface Command<T> {
  report: (input: T, now: string, asked: Asked) => unknown;
  text: (input: T, now: string, asked: Asked) => string;
  /** Why it can say nothing of a file that is right in itself. */
  refuses?: (input: T) => Problem | null;
}

/** A command on the text of a file: what it says of it, as data or in words, or what is wrong with the file. */
type OnText = (text: string, now: string, asked: Asked) => Result<{ report: () => unknown; words: () => string }>;

const on =
  <T>(read: (text: string, now: string) => Result<T>) =>
  (command: Command<T>): OnText =>
  (text, now, asked) => {
    const input = read(text, now);
    if (!input.ok) return input;
    const problem = command.refuses?.(input.value) ?? null;
    if (problem) return { ok: false, problem };
    return succeed({
      report: () => command.report(input.value, now, asked),
      words: () => command.text(input.value, now, asked),
    });
  };
const onDossier = on<Dossier>(parseDossier);

const COMMANDS: Readonly<Record<string, OnText>> = {
  diagnose: onDossier({
    report: (dossier, _now, { at }) => reportDiagnosis(dossier, at),
    text: (dossier, _now, { at }) => describeDiagnosis(reportDiagnosis(dossier, at), dossier),
  }),
  plan: onDossier({
    report: reportPlan,
    text: (dossier, now) => describePlan(reportPlan(dossier, now), dossier),
  }),
  proof: onDossier({ report: reportProof, text: (dossier, now) => describeProof(reportProof(dossier, now), dossier) }),
  audit: onDossier({ report: reportAudit, text: (dossier, now) => describeAudit(reportAudit(dossier, now), dossier) }),
  price: onDossier({
    report: (dossier, _now, { seed }) => reportPrice(dossier, seed),
    text: (dossier, _now, { seed }) => describePrice(reportPrice(dossier, seed)),
    refuses: ({ money }) => (money ? null : fail('missing_field', 'money', { expected: 'object' }).problem),
  }),
  mix: on(parseMixRequest)({ report: reportMix, text: (request) => describeMix(reportMix(request)) }),
  validate: onDossier({ report: () => ({ valid: true }), text: () => 'valid' }),
};

const USAGE = `usage: bricolage diagnose|plan|proof|audit|price|mix|validate FILE… [--text] [--at bench|kerb] [--seed n]
Reads dossiers (bricolage.dossier/1), mix a request (bricolage.mix-request/1); "-" is standard input. Prints JSON, or words with --text. At the kerb only looks
are proposed. A price is drawn from a seed (1): the same seed gives the same figures.
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
  const { command, files, asText, asked } = parsed;
  const several = files.length > 1;
  let code: 0 | 1 = 0;
  for (const file of files) {
    const said = runOn(command, file, io, asked);
    if (said.ok) {
      io.out(asText ? said.value.words() : JSON.stringify(said.value.report(), null, several ? 0 : 2));
      continue;
    }
    code = 1;
    const { problem } = said;
    const message = explainProblem(problem);
    if (several && !asText)
      io.out(JSON.stringify({ file, error: { code: problem.code, path: problem.path, message } }));
    io.err(`${file}: ${message}`);
  }
  return code;
}

function readArguments(
  args: readonly string[],
): { command: OnText; files: string[]; asText: boolean; asked: Asked } | string {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      options: {
        text: { type: 'boolean', default: false },
        at: { type: 'string', default: 'bench' },
        seed: { type: 'string', default: '1' },
      },
      allowPositionals: true,
    });
    const [name, ...files] = positionals;
    const command = name && Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
    if (!command) return name ? `unknown command: ${name}` : 'a command is missing';
    if (files.length === 0) return 'a file is missing';
    const { at } = values;
    if (at !== 'bench' && at !== 'kerb') return `--at is bench or kerb, not ${at}`;
    const seed = Number(values.seed);
    if (!Number.isInteger(seed) || seed < 0 || seed > MOST_SEED)
      return `--seed is a whole number from 0 to ${MOST_SEED}, not ${values.seed}`;
    return { command, files, asText: values.text, asked: { at, seed } };
  } catch (error) {
    return error instanceof Error ? error.message : 'wrong arguments';
  }
}

const MOST_SEED = 4_294_967_295;

function runOn(command: OnText, file: string, io: Io, asked: Asked): ReturnType<OnText> {
  let text: string;
  try {
    text = io.readFile(file);
  } catch {
    return fail('not_readable', '', { file });
  }
  return command(text, io.now(), asked);
}
