import { useGetVisitQuery, useVisit } from '@/client/store';
import { Button } from '@/client/ui';
import { Bar } from './bar';
import { VISIT_BAR_WORDS } from '@/words';

/** Whoever looks round the invented workshop is told so, with the way back. */
export function VisitBar() {
  const { data } = useGetVisitQuery();
  const visit = useVisit();
  if (!data?.visiting) return null;
  return (
    <Bar
      label={VISIT_BAR_WORDS.lookingRound}
      title={VISIT_BAR_WORDS.thisIsTheInventedWorkshop}
      lines={[VISIT_BAR_WORDS.tryAnythingNothingOfItIs]}
    >
      <Button onPress={() => void visit(false)}>{VISIT_BAR_WORDS.backToMyShop}</Button>
    </Bar>
  );
}
