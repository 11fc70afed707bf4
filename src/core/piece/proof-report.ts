import type { Dossier, Treatment } from '../dossier';
import { collectExperience, listExperience, listLearned } from '../learning';
import { designPanel, needsBleedWatch, proposePanel, type Proposal } from '../panel';
import { judgeTest } from '../proof';
import { computeBelief } from '../survey';
import { isPale, judgeGates, judgeHandovers } from './gates';

/** The panel that would tell most on one zone; null when there is nothing to paint there. */
export function proposeForZone(dossier: Dossier, zoneId: string, planned?: Treatment): Proposal | null {
  const zone = dossier.zones?.find(({ id }) => id === zoneId);
  if (!zone) return null;
  const bleeds = needsBleedWatch(computeBelief(dossier, zone).present.bleed, isPale(dossier));
  return proposePanel(dossier, zone, bleeds, planned);
}

/** The panel that would tell most, over all zones whose gate still asks for proof. */
function proposeNextPanel(dossier: Dossier): Proposal | null {
  return judgeGates(dossier)
    .filter(({ gate, state }) => gate === 'prime_to_paint' && (state === 'waiting' || state === 'closed'))
    .flatMap(({ zone }) => proposeForZone(dossier, zone) ?? [])
    .reduce<Proposal | null>((best, own) => (best && best.worth >= own.worth ? best : own), null);
}

/** `bricolage.proof/1`: every test on the common scale, the gates, what the tests teach, and the panel to paint next. */
export function reportProof(dossier: Dossier, now: string) {
  const proposal = proposeNextPanel(dossier);
  const gates = [...judgeGates(dossier), ...judgeHandovers(dossier, now)];
  return {
    format: 'bricolage.proof/1' as const,
    tests: (dossier.tests ?? []).map((test) => {
      const { isoClass, countsFromH, says: _says, ...judged } = judgeTest(test, dossier);
      return {
        ...judged,
        ...(isoClass === undefined ? {} : { iso_class: isoClass }),
        counts_from_h: countsFromH,
      };
    }),
    gates: gates.map(({ zone, gate, state, why }) => ({ zone, gate, state, why })),
    learned: listLearned(listExperience(dossier), collectExperience(dossier)),
    next_panel: proposal ? reportProposal(proposal) : null,
  };
}

/** Room enough for any panel that is proposed: the owner's own face is measured when it is laid out. */
const ANY_FACE_MM = 600;

function reportProposal({ zone, why, treatments, control, replicates, kinds }: Proposal) {
  const space = { width_mm: ANY_FACE_MM, height_mm: ANY_FACE_MM };
  const design = designPanel({ id: 'next', zone, treatments, control, replicates, kinds, seed: 1, ...space });
  const strips = design.ok ? design.panel.strips : [];
  return { zone, why, strips: strips.map(({ code, control: own, treatment }) => ({ code, control: own, treatment })) };
}
