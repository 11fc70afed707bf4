import { answerPlanner, type PlannerRequest } from '../features/planner/planner-answers';

/* Plans are searched here, away from the interface's thread. A plan of the shop is told twice: in haste, then at its best. */
self.onmessage = ({ data }: MessageEvent<{ id: number; request: PlannerRequest }>) => {
  answerPlanner(data.request, (answer, last) => self.postMessage({ id: data.id, answer, last }));
};
