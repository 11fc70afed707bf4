import { listStops, isStoppedByLead, type Hazard } from './hazards';

const FOUND: Hazard = { code: 'lead_found', lead: true, gate: 'certified_practice' };
const POSSIBLE: Hazard = { code: 'lead_possible', lead: true, gate: 'lead_test', ageKnown: true };
const MOULD: Hazard = { code: 'mould', hold: 'mould' };
const OLD_MOULD: Hazard = { code: 'mould' };

describe('what stops work', () => {
  it.each<[string, Hazard[], boolean, string[]]>([
    ['nothing', [{ code: 'food' }, { code: 'nursery' }, OLD_MOULD], false, []],
    ['lead that may be there', [POSSIBLE], false, ['lead_possible']],
    ['the worst first', [POSSIBLE, MOULD, FOUND], false, ['lead_found', 'fault', 'lead_possible']],
    ['a fault that is alive, also where the face is left', [MOULD, FOUND], true, ['fault']],
  ])('is %s', (_name, hazards, left, stops) => {
    expect(listStops(hazards, left).map(({ by }) => by)).toEqual(stops);
  });

  it('is lead that was found, for all of the piece', () => {
    expect([[FOUND, MOULD], [POSSIBLE], [MOULD]].map(isStoppedByLead)).toEqual([true, false, false]);
  });
});
