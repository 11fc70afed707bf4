import { startTransition, useCallback, useEffect, useState, type ComponentType } from 'react';
import { RoomMissing, RoomOpening } from '@/client/features/piece-frame';

/** A screen whose program comes when it is first opened. */
export const makeRoom = (fetchProgram: () => Promise<ComponentType>) =>
  makeLate(fetchProgram, RoomOpening, RoomMissing);

/** What stands around all screens. Until it has come the page shows the frame it draws by itself. */
export const makeFrame = <Props extends object = object>(fetchProgram: () => Promise<ComponentType<Props>>) =>
  makeLate(fetchProgram, Nothing, Nothing);

const Nothing = () => null;

/**
 * A component whose program is fetched when it is first shown and kept from then on. React holds back what has suspended
 * for 300 ms, even where the program is at hand at once: which is why this does not suspend.
 */
function makeLate<Props extends object>(
  fetchProgram: () => Promise<ComponentType<Props>>,
  Opening: ComponentType,
  Missing: ComponentType<{ retry: () => void }>,
) {
  let here: ComponentType<Props> | undefined;
  return function Late(props: Props) {
    const [Shown, setShown] = useState<ComponentType<Props> | undefined>(() => here);
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
    if (Shown) return <Shown {...props} />;
    return missing ? <Missing retry={fetchIt} /> : <Opening />;
  };
}
