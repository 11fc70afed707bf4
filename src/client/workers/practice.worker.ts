import { expose } from 'comlink';
import {
  drawExercise,
  renderPicture,
  tellSurface,
  type Exercise,
  type PictureSpec,
  type Skill,
  type SurfaceExercise,
  type SurfaceTold,
} from '@/core/practice';

/* Exercises are drawn and their pictures made here, away from the interface's thread. */

const api = {
  draw: (skill: Skill, seed: number): Exercise => drawExercise(skill, seed),
  tell: (exercise: SurfaceExercise, looks: readonly { check: string; said: string }[]): SurfaceTold =>
    tellSurface(exercise, looks),
  /** `null` where there is nothing to be seen. */
  render: async (spec: PictureSpec, side: number): Promise<Blob | null> => {
    const pixels = renderPicture(spec, side);
    if (!pixels) return null;
    const canvas = new OffscreenCanvas(pixels.width, pixels.height);
    const data = new Uint8ClampedArray(pixels.data);
    canvas.getContext('2d')!.putImageData(new ImageData(data, pixels.width, pixels.height), 0, 0);
    return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
  },
};
export type PracticeApi = typeof api;

expose(api);
