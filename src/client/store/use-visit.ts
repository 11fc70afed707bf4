import { useGoVisitingMutation } from './pieces-api';

/** Goes to look round the invented workshop, or back to one's own; the page begins anew with the other shop. */
export function useVisit(): (visiting: boolean) => Promise<void> {
  const [go] = useGoVisitingMutation();
  return async (visiting) => {
    const answer = await go(visiting);
    if (!answer.error) location.assign('/');
  };
}
