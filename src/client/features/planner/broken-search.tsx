import { Notice } from '@/client/ui';

/** The planner was asked twice and broke at it both times. */
export function BrokenSearch() {
  return (
    <Notice tone="stop" live title="The search broke off">
      It was tried twice. Change something, or load the page anew; what is kept is whole.
    </Notice>
  );
}
