import { planPiece } from '@/core/systems';
import { anyWishes, SEED } from '../../../tests/properties/random-dossiers';
import fc from 'fast-check';
import { nameCoat, nameStep, nameTask } from './steps';

describe('what a step is called', () => {
  it('is said of every step that is planned, by its code and what it carries', () => {
    const names = new Set<string>();
    fc.assert(
      fc.property(anyWishes, (piece) => {
        for (const { zones } of planPiece(piece).systems)
          for (const step of zones.flatMap(({ steps }) => steps)) {
            names.add(step.name);
            expect(nameStep(step)).toMatch(/^\p{Lu}(?!.*undefined)/u);
          }
      }),
      { seed: SEED, numRuns: 25 },
    );
    expect(names.size).toBeGreaterThan(15);
  });

  it('is what it was called when it was taken, where no code of today was kept with it', () => {
    expect(nameStep({ op: 'scuff', label: 'Scuff as before', grit: 150 })).toBe('Scuff as before');
    expect(nameStep({ op: 'scuff', name: 'of_a_later_version', label: 'Scuff anew' })).toBe('Scuff anew');
    expect(nameStep({ op: 'scuff', name: 'scuff', label: 'kept words', grit: 150 })).toBe('Scuff 150');
    expect(nameStep({ op: 'paint' })).toBe('Paint');
  });

  it('has the tint that was asked for, but for white, which primers are', () => {
    expect(nameCoat('shellac_primer', 'grey')).toBe('Shellac primer, tinted grey');
    expect(nameCoat('shellac_primer', 'white')).toBe('Shellac primer');
  });
});

describe('what a task is called', () => {
  const coat = { op: 'paint', key: '9-paint-1', name: 'coat', class: 'wb_alkyd_enamel', coat: 2, coats: 3 } as const;

  it('says which coat it is where there are several', () => {
    expect(nameTask(coat)).toBe('Cabinet enamel, coat 2 of 3');
    expect(nameTask({ ...coat, coat: 1, coats: 1 })).toBe('Cabinet enamel');
  });

  it('is the reading of a patch by its key', () => {
    expect(nameTask({ op: 'proof', key: '6-proof--1-read', name: 'prove', coat: 1, coats: 1 })).toBe('Read the patch');
  });
});
