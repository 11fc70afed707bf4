import { findCheck, PIECE_KINDS, type EraCode } from '../knowledge';
import { DOSSIER_FORMAT, type Dossier, type Observation, type Zone } from '../dossier';
import { makeRandom } from '../shared';
import { buildTemplate } from '../templates';
import { diagnoseZone } from './diagnose';
import { isLook, raisesDust } from './next-check';
import { nextQuestion } from './next-question';
import { drawSurface, makeReader } from './practice';

const pieceOf = (kind: Dossier['piece']['kind'], era?: EraCode): Dossier => ({
  format: DOSSIER_FORMAT,
  piece: { kind, ...(era ? { history: { era } } : {}) },
});
const ask = (piece: Dossier, zone: Zone) => nextQuestion(diagnoseZone(piece, zone));

describe('what is asked first', () => {
  it('of an unread piece of unknown age are three looks of under a minute, whatever is answered', () => {
    let walked = 0;
    for (const kind of PIECE_KINDS)
      for (const zone of buildTemplate(kind).zones) {
        const piece = pieceOf(kind);
        const surface = { ...drawSurface(makeRandom(walked)), kind, role: zone.role, history: {} };
        const read = makeReader(surface, makeRandom(walked + 1), 'each');
        let observations: Observation[] = [];
        for (let k = 0; k < 3; k += 1) {
          const code = ask(piece, { ...zone, observations });
          if (code === null) break;
          expect({ kind, zone: zone.id, code, look: isLook(findCheck(code)!) }).toMatchObject({ look: true });
          observations = [...observations, { check: code, result: read(findCheck(code)!) }];
        }
        walked += 1;
      }
    expect(walked).toBeGreaterThan(80);
  });

  it('of a melamine kitchen of the nineties is never a lead kit, where looks show that there is no coat', () => {
    const piece = pieceOf('kitchen_run', '1978_1999');
    const zone: Zone = { id: 'doors', role: 'door', area_m2: 2 };
    const looks: Record<string, string> = {
      edge_line: 'plastic_strip',
      corner_lift: 'brittle_chip',
      pattern_repeat: 'plain_colour',
      pores: 'seen_not_felt',
      core_view: 'chips',
      wood_colour: 'grey_white_plain',
      weight: 'heavy_for_size',
    };
    expect(diagnoseZone(piece, zone).hazards).toContainEqual(expect.objectContaining({ gate: 'lead_test' }));
    const observations: Observation[] = [];
    for (let k = 0; k < 8; k += 1) {
      const code = ask(piece, { ...zone, observations: [...observations] });
      if (code === null || looks[code] === undefined) break;
      observations.push({ check: code, result: looks[code]! });
    }
    const read = { ...zone, observations };
    expect(observations.length).toBeGreaterThanOrEqual(2);
    expect(diagnoseZone(piece, read).hazards.filter(({ gate }) => gate !== undefined)).toEqual([]);
    expect(ask(piece, read)).not.toBe('lead_test');
  });

  it('of an old painted door is the kit, as soon as it has been looked at; and never dust before it', () => {
    const piece: Dossier = {
      ...pieceOf('interior_door'),
      piece: { kind: 'interior_door', history: { era: 'before_1940', painted_before: 'yes' } },
    };
    const asked: string[] = [];
    let zone: Zone = { id: 'leaf', role: 'door', area_m2: 3 };
    for (let k = 0; k < 12; k += 1) {
      const code = ask(piece, zone);
      if (code === null || code === 'lead_test') break;
      asked.push(code);
      zone = { ...zone, skipped_checks: asked.slice() };
    }
    expect(ask(piece, zone)).toBe('lead_test');
    expect(asked.length).toBeGreaterThanOrEqual(3);
    expect(asked.every((code) => isLook(findCheck(code)!) && !raisesDust(findCheck(code)!))).toBe(true);
  });

  it('is nothing more once lead was found', () => {
    const piece = pieceOf('interior_door', 'before_1940');
    const observations: Observation[] = [{ check: 'lead_test', result: 'positive' }];
    expect(ask(piece, { id: 'leaf', role: 'door', observations })).toBeNull();
  });

  it('at the kerb is never anything to wait for, to wet or to mark', () => {
    for (const kind of PIECE_KINDS)
      for (const zone of buildTemplate(kind).zones) {
        const { nextChecks } = diagnoseZone(pieceOf(kind, 'since_2000'), zone, 'kerb');
        for (const { check } of nextChecks) expect(findCheck(check)).toMatchObject({ waitHours: 0, mark: 0 });
      }
  });
});
