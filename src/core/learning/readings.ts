import { nameZone, type Dossier, type Experience, type Test } from '../dossier';
import type { ClearCode, FinishCode, PrepGroup, PrimerCode, SubstrateCode, TestKind } from '../knowledge';
import { clearOf, judgeTest } from '../proof';
import { computeBelief, mostLikelyState } from '../survey';
import { groupPrep } from './discounts';
import { BELIEVED } from './experience';
import { modeOf } from './mode';

/** A reading that stands behind a figure of the findings. */
export interface CountedReading {
  piece: string;
  pieceName: string | null;
  zone: string;
  kind: TestKind;
  treatment: NonNullable<Test['treatment']>;
  held: boolean;
}

export interface ReadingQuestion {
  substrate: SubstrateCode;
  finish: FinishCode;
  primer: PrimerCode | 'none';
  clear?: ClearCode | undefined;
  mode: Experience['mode'];
  prep: PrepGroup;
}

/** The readings of some pieces that are about one primer on one surface, and count. */
export function findReadings(pieces: readonly Dossier[], asked: ReadingQuestion): CountedReading[] {
  return pieces.flatMap((dossier) => {
    const surfaces = new Map<string, boolean>();
    const isHere = (id: string): boolean => {
      const zone = dossier.zones?.find((own) => own.id === id);
      if (!zone) return false;
      const known = surfaces.get(id);
      if (known !== undefined) return known;
      const { substrate, finish, p } = mostLikelyState(computeBelief(dossier, zone));
      surfaces.set(id, p >= BELIEVED && substrate === asked.substrate && finish === asked.finish);
      return surfaces.get(id)!;
    };
    return (dossier.tests ?? []).flatMap((test): CountedReading[] => {
      const { treatment, kind, zone } = test;
      if (!treatment || (treatment.primer ?? 'none') !== asked.primer || clearOf(treatment) !== asked.clear) return [];
      if (modeOf(kind) !== asked.mode || groupPrep(treatment.prep ?? 'none') !== asked.prep) return [];
      const { verdict } = judgeTest(test, dossier);
      if ((verdict !== 'pass' && verdict !== 'fail') || !isHere(zone)) return [];
      const { id = '', name = null } = dossier.piece;
      return [{ piece: id, pieceName: name, zone: nameZone(dossier, zone), kind, treatment, held: verdict === 'pass' }];
    });
  });
}
