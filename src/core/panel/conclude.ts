import { comparePosteriors, type BetaCounts } from '../learning';
import type { Dossier, Panel, Treatment } from '../dossier';
import { showsBleed } from '../knowledge';
import { judgeTest, limitsOf, provesNoBleed } from '../proof';
import { groupStrips } from './strip-map';

/** How the strips of one treatment came out. */
export interface PanelResult {
  /** "A1", "A2": its strips. */
  codes: string[];
  /** What they are called together: "A". */
  name: string;
  treatment: Treatment;
  control: boolean;
  held: number;
  failed: number;
  /** Not read yet, or only too early. */
  unread: number;
}

/** What may be said of a panel as far as it was read. */
export interface PanelConclusion {
  /** Best first; controls among them. */
  ranked: PanelResult[];
  /** One that is better than every other, as surely as two treatments are told apart. */
  best: PanelResult | null;
  /** Those at the top that cannot be told apart; fewer than two where one is best or nothing was read. */
  tied: PanelResult[];
  strips: number;
  read: number;
  letGo: number;
  bled: number;
}

/** Nothing is known of a treatment before its strips are read: the panel speaks for itself (uniform prior). */
const countsOf = ({ held, failed }: PanelResult): BetaCounts => ({ a: held + 1, b: failed + 1 });
const meanOf = (result: PanelResult): number => {
  const { a, b } = countsOf(result);
  return a / (a + b);
};

type Outcome = 'held' | 'let_go' | 'bled' | 'unread';

/** A strip stands or falls as one: it let go, or it bled, or it held all that was read of it at the right age. */
function judgeStrip(dossier: Dossier, panel: Panel, code: string): Outcome {
  const tests = (dossier.tests ?? []).filter((test) => test.panel === panel.id && test.strip === code);
  const judged = tests.map((test) => ({ test, judged: judgeTest(test, dossier) }));
  const failed = judged.find(({ judged: { verdict } }) => verdict === 'fail');
  if (failed) return showsBleed(failed.test.kind) ? 'bled' : 'let_go';
  const held = judged.some(({ test, judged: own }) =>
    showsBleed(test.kind) ? provesNoBleed(test, own, limitsOf(dossier)) : own.verdict === 'pass',
  );
  return held ? 'held' : 'unread';
}

/** The treatments of a panel ranked by how their strips came out, with what may be said of them and what may not. */
export function concludePanel(dossier: Dossier, panel: Panel): PanelConclusion {
  const outcomes = new Map(panel.strips.map(({ code }) => [code, judgeStrip(dossier, panel, code)]));
  const count = (codes: readonly string[], ...which: Outcome[]): number =>
    codes.filter((code) => which.includes(outcomes.get(code)!)).length;
  const results = groupStrips(panel).map(({ codes, treatment, control }): PanelResult => ({
    codes,
    name: codes[0]!.replace(/\d+$/, ''),
    treatment,
    control,
    held: count(codes, 'held'),
    failed: count(codes, 'let_go', 'bled'),
    unread: count(codes, 'unread'),
  }));
  const read = results.filter(({ held, failed }) => held + failed > 0);
  const ranked = [
    ...read.sort((one, other) => meanOf(other) - meanOf(one) || one.name.localeCompare(other.name)),
    ...results.filter((own) => !read.includes(own)),
  ];
  const [first] = read;
  const level = (own: PanelResult): boolean =>
    own !== first && comparePosteriors(countsOf(first!), countsOf(own)).verdict === 'unknown';
  const beside = first ? read.filter(level) : [];
  const all = panel.strips.map(({ code }) => code);
  return {
    ranked,
    best: first && first.held > first.failed && read.length > 1 && beside.length === 0 ? first : null,
    tied: first && beside.length > 0 ? [first, ...beside] : [],
    strips: all.length,
    read: all.length - count(all, 'unread'),
    letGo: count(all, 'let_go'),
    bled: count(all, 'bled'),
  };
}
