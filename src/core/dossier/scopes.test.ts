import type { Dossier } from './schema';
import { colourScope, listScopes, sharedWish } from './scopes';
import { wishOf } from './wish';

const PIECE: Pick<Dossier, 'zones' | 'goal'> = {
  zones: [
    { id: 'top', role: 'top' },
    { id: 'doors', role: 'door' },
    { id: 'fronts', role: 'drawer_front' },
    { id: 'back', role: 'back' },
  ],
  goal: { colour: '#F3EFE6' },
};
const scope = (code: string, dossier = PIECE) => listScopes(dossier).find((own) => own.code === code)!;
const coloursAfter = (goal: Dossier['goal']): string[] => PIECE.zones!.map((zone) => wishOf({ goal }, zone).colour);

describe('what is coloured in one go', () => {
  it('is the piece, its fronts, its body and each zone; what is left is none of it', () => {
    expect(listScopes(PIECE).map(({ code, ids }) => [code, ids.join()])).toEqual([
      ['piece', 'top,doors,fronts'],
      ['fronts', 'doors,fronts'],
      ['body', 'top'],
      ['zone:top', 'top'],
      ['zone:doors', 'doors'],
      ['zone:fronts', 'fronts'],
    ]);
    expect(listScopes({ zones: [{ id: 'top', role: 'top' }] }).map(({ code }) => code)).toEqual(['piece', 'zone:top']);
  });

  it('takes a colour without touching the rest', () => {
    const fronts = colourScope(PIECE, scope('fronts'), '#2B3A42');
    expect(coloursAfter(fronts)).toEqual(['#F3EFE6', '#2B3A42', '#2B3A42', '#F3EFE6']);
    const body = colourScope({ ...PIECE, goal: fronts }, scope('body'), '#7B2E26');
    expect(coloursAfter(body)).toEqual(['#7B2E26', '#2B3A42', '#2B3A42', '#7B2E26']);
    // Fronts that followed the piece do not change when the body does.
    expect(coloursAfter(colourScope(PIECE, scope('body'), '#7B2E26'))).toEqual([
      '#7B2E26',
      '#F3EFE6',
      '#F3EFE6',
      '#7B2E26',
    ]);
    expect(coloursAfter(colourScope({ ...PIECE, goal: fronts }, scope('piece'), '#7B2E26'))).toEqual(
      Array(4).fill('#7B2E26'),
    );
  });

  it('shares a wish, or has none', () => {
    const goal = colourScope(PIECE, scope('zone:doors'), '#2B3A42');
    expect(sharedWish({ ...PIECE, goal }, scope('fronts'), 'colour')).toBeUndefined();
    expect(sharedWish({ ...PIECE, goal }, scope('zone:doors'), 'colour')).toBe('#2B3A42');
    expect(sharedWish(PIECE, scope('piece'), 'colour')).toBe('#F3EFE6');
  });
});
