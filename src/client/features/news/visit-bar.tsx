import { useGetVisitQuery, useVisit } from '@/client/store';
import { Button } from '@/client/ui';
import { Bar } from './bar';

/** Whoever looks round the invented workshop is told so, with the way back. */
export function VisitBar() {
  const { data } = useGetVisitQuery();
  const visit = useVisit();
  if (!data?.visiting) return null;
  return (
    <Bar
      label="Looking round"
      title="This is the invented workshop"
      lines={['Try anything: nothing of it is yours, and it is as new next time.']}
    >
      <Button onPress={() => void visit(false)}>Back to my shop</Button>
    </Bar>
  );
}
