import { lazy, Suspense } from 'react';
import type * as Rooms from './rooms';

/** A screen of a piece, fetched with the others when the first of them is opened. */
export function makeRoom(name: keyof typeof Rooms) {
  const Room = lazy(async () => ({ default: (await import('./rooms'))[name] }));
  return function PieceRoom() {
    return (
      <Suspense fallback={null}>
        <Room />
      </Suspense>
    );
  };
}
