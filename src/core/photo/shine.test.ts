import { photographShine, SHINES } from '../camera';
import { readShine } from './shine';

describe('how a film shines, by two pictures', () => {
  it('is told right of made-up films twice as often as by chance and more', () => {
    let [right, all] = [0, 0];
    for (const shine of SHINES)
      for (let seed = 0; seed < 6; seed += 1) {
        const { answer } = readShine(...photographShine(shine, 160, seed));
        all += 1;
        if (answer === shine) right += 1;
      }
    expect(right / all).toBeGreaterThan(0.5);
  });

  it('is matt where both pictures are the same', () => {
    const [picture] = photographShine('high_gloss', 120, 3);
    expect(readShine(picture, picture)).toEqual({ answer: 'matt', bright: 0, radius: 0 });
  });
});
