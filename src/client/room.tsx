import { startTransition, useCallback, useEffect, useState, type ComponentType } from 'react';
import { RoomMissing, RoomOpening } from '@/client/features/piece-frame';

type Fetch = () => Promise<ComponentType>;

/** A screen whose program comes when it is first opened. */
export const makeRoom = (fetchProgram: Fetch) => makeLate(fetchProgram, RoomOpening, RoomMissing);

/** What stands around all screens. Until it has come the page shows the frame it draws by itself. */
export const makeFrame = (fetchProgram: Fetch) => makeLate(fetchProgram, Nothing, Nothing);

const Nothing = () => null;

/**
 * A component whose program is fetched when it is first shown and kept from then on. React holds back what has suspended
 * for 300 ms, even where the program is at hand at once: which is why this does not suspend.
 */
function makeLate(fetchProgram: Fetch, Opening: ComponentType, Missing: ComponentType<{ retry: () => void }>) {
  let here: ComponentType | undefined;
  return function Late() {
    const [Shown, setShown] = useState<ComponentType | undefined>(() => here);
    const [missing, setMissing] = useState(false);
    const fetchIt = useCallback(() => {
      setMissing(false);
      fetchProgram().then(
        (fetched) => {
          here = fetched;
          startTransition(() => setShown(() => fetched));
        },
        () => setMissing(true),
      );
    }, []);
    useEffect(() => {
      if (!here) fetchIt();
    }, [fetchIt]);
    if (Shown) return <Shown />;
    return missing ? <Missing retry={fetchIt} /> : <Opening />;
  };
}
