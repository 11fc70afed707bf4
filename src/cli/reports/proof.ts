import type { Dossier } from '@/core/dossier';
import { collectExperience, listExperience, listLearned } from '@/core/learning';
import { designPanel, type Proposal } from '@/core/panel';
import { judgeGates, judgeHandovers, proposeNextPanel } from '@/core/piece';
import { judgeTest } from '@/core/proof';
import { sayGate, sayProposal, sayTest } from '@/words';

/** `bricolage.proof/1`: every test on the common scale, the gates, what the tests teach, and the panel to paint next. */
export function reportProof(dossier: Dossier, now: string) {
  const proposal = proposeNextPanel(dossier);
  const gates = [...judgeGates(dossier), ...judgeHandovers(dossier, now)];
  return {
    format: 'bricolage.proof/1' as const,
    tests: (dossier.tests ?? []).map((test) => {
      const judged = judgeTest(test, dossier);
      const { id, kind, severity, verdict, early, countsFromH, isoClass, astm, cut } = judged;
      return {
        id,
        kind,
        severity,
        verdict,
        early,
        astm,
        cut,
        why: sayTest(judged),
        iso_class: isoClass,
        counts_from_h: countsFromH,
      };
    }),
    gates: gates.map((own) => ({ zone: own.zone, gate: own.gate, state: own.state, why: sayGate(own) })),
    learned: listLearned(listExperience(dossier), collectExperience(dossier)),
    next_panel: proposal ? reportProposal(proposal) : null,
  };
}

/** Room enough for any panel that is proposed: the owner's own face is measured when it is laid out. */
const ANY_FACE_MM = 600;

function reportProposal(proposal: Proposal) {
  const { zone, treatments, control, replicates, kinds } = proposal;
  const space = { width_mm: ANY_FACE_MM, height_mm: ANY_FACE_MM };
  const design = designPanel({ id: 'next', zone, treatments, control, replicates, kinds, seed: 1, ...space });
  const strips = design.ok ? design.panel.strips : [];
  return {
    zone,
    why: sayProposal(proposal),
    strips: strips.map(({ code, control: own, treatment }) => ({ code, control: own, treatment })),
  };
}
